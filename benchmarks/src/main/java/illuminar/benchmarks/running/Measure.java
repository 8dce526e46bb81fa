package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;

/** Something that is timed in the running application. */
interface Measure {
  void measure(Speeds speeds) throws Exception;
}
