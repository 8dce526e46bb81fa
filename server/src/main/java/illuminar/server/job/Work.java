package illuminar.server.job;

import java.util.concurrent.CancellationException;

/**
 * How one kind of job is done; every bean of this type is one kind. Must be safe to run again from
 * the start after a crash.
 */
public interface Work {
  /** Its name in the database; never changed. */
  String kind();

  /** What it does, as one says it: "Taking in". */
  String verb();

  /** Does the job; throws {@link Cancelled} through {@link Progress#at} when it is called off. */
  void run(Job job, Progress progress) throws Exception;

  /** Says how far a job is. */
  interface Progress {
    /** Tells everyone; throws {@link Cancelled} where the job was called off. */
    void at(int done, int total, String doing);

    /** Notes something that went wrong with one file while the rest goes on. */
    void problem(String said);
  }

  /** The job was called off. */
  final class Cancelled extends CancellationException {
    private static final long serialVersionUID = 1;
  }
}
