package ferry.fleet;

/** A ferry. */
public final class Vessel {
  private final String name;
  private final int draughtCm;
  private final int lengthM;
  private final int places;

  public Vessel(String name, int draughtCm, int lengthM, int places) {
    this.name = name;
    this.draughtCm = draughtCm;
    this.lengthM = lengthM;
    this.places = places;
  }

  public String name() {
    return name;
  }

  public int draughtCm() {
    return draughtCm;
  }

  public int lengthM() {
    return lengthM;
  }

  public int places() {
    return places;
  }
}
