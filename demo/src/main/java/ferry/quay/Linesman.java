package ferry.quay;

/** Who throws the lines when a ferry comes in. */
public class Linesman extends QuayHand {
  private static final int LIGHT_KG = 4;

  public Linesman(String name, int strengthKg) {
    super(name, strengthKg);
  }

  public boolean reaches(int gapM, int lineKg) {
    return throwM(lineKg) >= gapM && (lineKg <= LIGHT_KG || strengthKg() > 60);
  }

  public String badge() {
    return name() + ", quay";
  }
}
