package illuminar.benchmarks.campaign;

/** Something that is done to the running application, to see whether it bears it. */
interface Trial {

  /** What its rows are called, and how it is named on the command line. */
  String id();

  /** Runs it as long as {@code effort} says. */
  void run(Effort effort, Ledger ledger) throws Exception;
}
