package ferry.quay;

/** Who works at the quay. */
public class QuayHand {
  private final String name;
  private final int strengthKg;

  public QuayHand(String name, int strengthKg) {
    this.name = name;
    this.strengthKg = strengthKg;
  }

  public String name() {
    return name;
  }

  public int strengthKg() {
    return strengthKg;
  }

  /** How far a line of so many kilograms is thrown. */
  public int throwM(int lineKg) {
    return Math.max(3, strengthKg() / (lineKg + 1));
  }
}
