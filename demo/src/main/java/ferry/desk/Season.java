package ferry.desk;

import java.time.Month;

/** The parts of the year that have prices of their own. */
public enum Season {
  WINTER(80),
  SHOULDER(100),
  SUMMER(125);

  private final int percent;

  Season(int percent) {
    this.percent = percent;
  }

  public int percent() {
    return percent;
  }

  public static Season of(Month month) {
    return switch (month) {
      case JUNE, JULY, AUGUST -> SUMMER;
      case NOVEMBER, DECEMBER, JANUARY, FEBRUARY -> WINTER;
      default -> SHOULDER;
    };
  }
}
