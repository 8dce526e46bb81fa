package illuminar.server.balance;

import java.util.List;

/**
 * All that is pinned.
 *
 * @param reference id of the probe that the others are compared with; empty for the first
 */
public record BalanceBoard(List<Probe> probes, String reference) {
  public static final int MOST_PROBES = 24;
  static final BalanceBoard EMPTY = new BalanceBoard(List.of(), "");

  public BalanceBoard {
    probes = probes == null ? List.of() : List.copyOf(probes);
    reference = reference == null ? "" : reference;
    if (probes.size() > MOST_PROBES) {
      throw new IllegalArgumentException("a board holds at most " + MOST_PROBES + " probes");
    }
  }
}
