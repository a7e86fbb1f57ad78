package ferry.desk;

/** Somebody who wants to cross. */
public final class Passenger {
  private final String name;
  private final int age;
  private final boolean islander;
  private final boolean bicycle;

  public Passenger(String name, int age, boolean islander, boolean bicycle) {
    this.name = name;
    this.age = age;
    this.islander = islander;
    this.bicycle = bicycle;
  }

  public String name() {
    return name;
  }

  public int age() {
    return age;
  }

  public boolean islander() {
    return islander;
  }

  public boolean bicycle() {
    return bicycle;
  }
}
