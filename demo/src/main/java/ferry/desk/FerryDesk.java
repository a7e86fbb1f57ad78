package ferry.desk;

import ferry.fleet.Berth;
import ferry.fleet.Vessel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The desk at the quay. It began with the fares; then came the berths, since the desk has the only
 * window to the water, and the notice board, and at last the till.
 */
public final class FerryDesk {
  // What a crossing costs, in cents.
  private final int adultFare;
  private final int bicycleFare;
  private final int metreFare;
  private Season season = Season.SHOULDER;

  // Who lies where.
  private final Map<String, Berth> berths = new LinkedHashMap<>();
  private final Map<String, String> lying = new LinkedHashMap<>();
  private int clearanceCm = 30;

  // What hangs on the board.
  private final List<String> notices = new ArrayList<>();
  private int board = 5;

  // What is in the till.
  private int takings;
  private int refunds;
  private final List<String> receipts = new ArrayList<>();

  public FerryDesk(int adultFare, int bicycleFare, int metreFare) {
    this.adultFare = adultFare;
    this.bicycleFare = bicycleFare;
    this.metreFare = metreFare;
  }

  public void setSeason(Season season) {
    this.season = season;
  }

  /** What one passenger pays. Small children and islanders in winter go free. */
  public int fareFor(Passenger passenger) {
    int fare = adultFare;
    if (passenger.age() < 4) {
      fare = 0;
    } else if (passenger.age() < 16 || passenger.age() >= 70) {
      fare = adultFare / 2;
    }
    if (passenger.islander()) {
      fare = season == Season.WINTER ? 0 : fare * 3 / 4;
    }
    if (passenger.bicycle()) {
      fare += bicycleFare;
    }
    return inSeason(fare);
  }

  /** What a car pays, by the metre begun. */
  public int fareFor(Car car) {
    int metres = (car.lengthCm() + 99) / 100;
    int fare = metres * metreFare;
    if (car.trailer()) {
      fare += fare / 2;
    }
    return inSeason(fare);
  }

  private int inSeason(int fare) {
    return fare * season.percent() / 100;
  }

  /** What a whole party pays; from ten on, one of them goes free. */
  public int quote(Booking booking) {
    int sum = 0;
    int dearest = 0;
    for (Passenger passenger : booking.passengers()) {
      int fare = fareFor(passenger);
      sum += fare;
      if (fare > dearest) {
        dearest = fare;
      }
    }
    return booking.passengers().size() >= 10 ? sum - dearest : sum;
  }

  public void addBerth(Berth berth) {
    berths.put(berth.name(), berth);
  }

  public void setClearance(int centimetres) {
    if (centimetres < 0) {
      throw new IllegalArgumentException("a keel cannot be in the mud");
    }
    clearanceCm = centimetres;
  }

  /** Whether a vessel can lie at a berth. */
  public boolean fits(Vessel vessel, Berth berth) {
    return berth.takes(vessel.lengthM(), vessel.draughtCm() + clearanceCm);
  }

  /** Gives a vessel the shortest free berth that fits; null where there is none. */
  public Berth moor(Vessel vessel) {
    Berth best = null;
    for (Berth berth : berths.values()) {
      boolean free = !lying.containsKey(berth.name());
      if (free && fits(vessel, berth) && (best == null || berth.lengthM() < best.lengthM())) {
        best = berth;
      }
    }
    if (best != null) {
      lying.put(best.name(), vessel.name());
    }
    return best;
  }

  public void castOff(Vessel vessel) {
    lying.values().removeIf(name -> name.equals(vessel.name()));
  }

  /** The berths and who lies there, one a line. */
  public String quay() {
    StringBuilder text = new StringBuilder();
    for (Berth berth : berths.values()) {
      String vessel = lying.get(berth.name());
      text.append(berth.name()).append(": ");
      if (berth.closed()) {
        text.append("closed");
      } else {
        text.append(vessel == null ? "free" : vessel);
      }
      text.append('\n');
    }
    return text.toString();
  }

  public void setBoard(int lines) {
    board = lines;
  }

  /** Hangs up a notice; the oldest goes where the board is full. */
  public void announce(String notice) {
    if (notice == null || notice.isBlank()) {
      return;
    }
    notices.remove(notice);
    notices.add(notice);
    while (notices.size() > board) {
      notices.remove(0);
    }
  }

  /** Tells that a sailing is cancelled, or how full it is. */
  public void announce(Sailing sailing) {
    if (sailing.cancelled()) {
      announce(sailing.number() + " does not sail today");
    } else if (sailing.free() == 0) {
      announce(sailing.number() + " is full");
    } else if (sailing.free() <= 5) {
      announce(sailing.number() + ": last places");
    }
  }

  public String boardText() {
    return notices.isEmpty() ? "No notices." : String.join("\n", notices);
  }

  /** Takes money for a booking. */
  public String pay(Booking booking, int cents) {
    if (booking.paid()) {
      throw new IllegalStateException(booking.reference() + " is paid already");
    }
    if (cents < 0) {
      throw new IllegalArgumentException("nobody pays less than nothing");
    }
    takings += cents;
    booking.markPaid();
    String receipt = "Received " + money(cents) + " for " + booking.reference();
    receipts.add(receipt);
    return receipt;
  }

  /** Gives money back: all of it where the sailing was cancelled, else half. */
  public int refund(Booking booking, int cents) {
    int back = booking.sailing().cancelled() ? cents : cents / 2;
    if (!booking.paid() || back > balance()) {
      return 0;
    }
    refunds += back;
    receipts.add("Returned " + money(back) + " for " + booking.reference());
    return back;
  }

  public int balance() {
    return takings - refunds;
  }

  /** The day's sheet for the office. */
  public String daySheet() {
    StringBuilder sheet = new StringBuilder();
    for (String receipt : receipts) {
      sheet.append(receipt).append('\n');
    }
    if (refunds > 0) {
      sheet.append("Refunds ").append(money(refunds)).append('\n');
    }
    return sheet.append("Balance ").append(money(balance())).toString();
  }

  private static String money(int cents) {
    return cents / 100 + "." + (cents % 100 < 10 ? "0" : "") + cents % 100;
  }
}
