package illuminar.server.job;

import illuminar.server.web.Outage;
import illuminar.server.web.PlainWords;
import java.util.concurrent.CancellationException;
import org.slf4j.LoggerFactory;

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

    /**
     * Does a part of the work that others do not need: where it fails that is noted, and the rest
     * goes on. Nothing is noted where the job was called off or the database is away.
     *
     * @param name of the part, in front of what is said
     * @return whether it was done
     */
    default boolean alone(String name, Doing part) {
      try {
        part.run();
        return true;
      } catch (CancellationException e) {
        throw e;
      } catch (Exception | OutOfMemoryError e) {
        if (Outage.is(e)) {
          throw new IllegalStateException(e);
        }
        LoggerFactory.getLogger(Work.class).warn("{} failed", name, e);
        problem(name + ": " + PlainWords.of(e));
        return false;
      }
    }
  }

  /** A part of some work, which may fail. */
  interface Doing {
    void run() throws Exception;
  }

  /** The job was called off. */
  final class Cancelled extends CancellationException {
    private static final long serialVersionUID = 1;
  }
}
