package ferry.fleet;

/** A place at the quay where one vessel can lie. */
public final class Berth {
  private final String name;
  private final int depthCm;
  private final int lengthM;
  private boolean closed;

  public Berth(String name, int depthCm, int lengthM) {
    this.name = name;
    this.depthCm = depthCm;
    this.lengthM = lengthM;
  }

  public String name() {
    return name;
  }

  public int depthCm() {
    return depthCm;
  }

  public int lengthM() {
    return lengthM;
  }

  public boolean closed() {
    return closed;
  }

  /** Whether a hull of this length and depth can lie here. */
  public boolean takes(int hullM, int keelCm) {
    return !closed && hullM <= lengthM && keelCm <= depthCm;
  }

  public void close() {
    closed = true;
  }
}
