package illuminar.server.balance;

import java.util.List;

/**
 * All that is pinned.
 *
 * @param reference id of the probe that the others are compared with; empty for the first
 */
record BalanceBoard(List<Probe> probes, String reference) {
  private static final int MOST_PROBES = 24;
  static final BalanceBoard EMPTY = new BalanceBoard(List.of(), "");

  BalanceBoard {
    probes = probes == null ? List.of() : List.copyOf(probes);
    reference = reference == null ? "" : reference;
    if (probes.size() > MOST_PROBES) {
      throw new IllegalArgumentException("a board holds at most " + MOST_PROBES + " probes");
    }
  }
}
