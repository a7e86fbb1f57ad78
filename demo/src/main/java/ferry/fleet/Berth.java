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

  public void close() {
    closed = true;
  }
}
