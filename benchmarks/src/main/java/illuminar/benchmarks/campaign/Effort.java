package illuminar.benchmarks.campaign;

/** How long a campaign lasts: the whole one takes hours, the short one minutes. */
enum Effort {
  WHOLE,
  SHORT;

  /** The number for this effort. */
  int of(int whole, int brief) {
    return this == WHOLE ? whole : brief;
  }
}
