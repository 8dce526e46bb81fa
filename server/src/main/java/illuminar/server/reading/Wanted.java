package illuminar.server.reading;

import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * Whether what a thread reads files for is still wanted: a job that was called off is not. Belongs
 * to the thread; work that goes on in others takes it along.
 */
public final class Wanted {
  private static final ThreadLocal<BooleanSupplier> HERE =
      ThreadLocal.withInitial(() -> () -> true);

  /** Work that may fail. */
  public interface Doing {
    void run() throws Exception;
  }

  private Wanted() {}

  /** Asks whether what this thread does is still wanted, from any thread. */
  public static BooleanSupplier here() {
    return HERE.get();
  }

  /** Does some work that is wanted as long as {@code wanted} says so. */
  public static void during(BooleanSupplier wanted, Doing work) throws Exception {
    BooleanSupplier before = HERE.get();
    HERE.set(wanted);
    try {
      work.run();
    } finally {
      HERE.set(before);
    }
  }

  /** Does some work that others wait for too, so that it goes on though this thread gives up. */
  public static <T> T forAll(Supplier<T> work) {
    BooleanSupplier before = HERE.get();
    HERE.remove();
    try {
      return work.get();
    } finally {
      HERE.set(before);
    }
  }
}
