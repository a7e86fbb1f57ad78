package ferry.quay;

import java.util.LinkedHashMap;
import java.util.Map;

/** The book at the quay: who lies where, and, since there was room at the back, who owes what. */
public final class QuayBook {
  private final Map<String, String> lying = new LinkedHashMap<>();
  private int moves;

  private final Map<String, Integer> dues = new LinkedHashMap<>();
  private int received;

  /** Writes down that a vessel has made fast. */
  public void moored(String vessel, String berth) {
    lying.put(vessel, berth);
    moves++;
  }

  /** Writes down that a vessel has cast off. */
  public void left(String vessel) {
    if (lying.remove(vessel) != null) {
      moves++;
    }
  }

  public String berthOf(String vessel) {
    return lying.getOrDefault(vessel, "at sea");
  }

  public int moves() {
    return moves;
  }

  /** Puts dues on a vessel's account, in cents. */
  public void charge(String vessel, int cents) {
    dues.merge(vessel, cents, Integer::sum);
  }

  /** Takes what a vessel pays of its dues. */
  public void pay(String vessel, int cents) {
    dues.merge(vessel, -cents, Integer::sum);
    received += cents;
  }

  public int owed(String vessel) {
    return dues.getOrDefault(vessel, 0);
  }

  public int received() {
    return received;
  }
}
