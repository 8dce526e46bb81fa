package illuminar.server.sitting;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * Work that shares something there is only so much of, such as cores or memory: whoever has waited
 * longest is next, and nobody goes past him. Who does not want to any more leaves the line.
 */
public final class Turns {
  /** After how many milliseconds someone in line is asked again. */
  private static final long ASKED = 50;

  private final Deque<Object> line = new ArrayDeque<>();
  private final long all;
  private final Duration longest;
  private long free;

  /**
   * @param all how much there is
   * @param longest how long someone holds others up; who takes longer goes on beside them
   */
  public Turns(long all, Duration longest) {
    this.all = all;
    this.longest = longest;
    free = all;
  }

  /** As {@link #Turns(long, Duration)}; nothing is given back before the work is done. */
  public Turns(long all) {
    this(all, Duration.ZERO);
  }

  /**
   * Does some work in its turn.
   *
   * @param need how much it takes; more than there is counts as all
   * @param wanted asked while it waits
   * @throws CancellationException where it is not wanted any more before its turn
   */
  public <T> T take(long need, BooleanSupplier wanted, Supplier<T> work) {
    long taken = Math.min(all, need);
    enter(taken, wanted);
    AtomicBoolean back = new AtomicBoolean();
    if (!longest.isZero()) {
      CompletableFuture.delayedExecutor(longest.toMillis(), TimeUnit.MILLISECONDS, Runnable::run)
          .execute(() -> leave(taken, back));
    }
    try {
      return work.get();
    } finally {
      leave(taken, back);
    }
  }

  private synchronized void enter(long need, BooleanSupplier wanted) {
    Object place = new Object();
    line.add(place);
    try {
      while (line.peek() != place || free < need) {
        wait(ASKED);
        if (!wanted.getAsBoolean()) {
          throw new CancellationException("not wanted any more");
        }
      }
      free -= need;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new CancellationException("interrupted");
    } finally {
      line.remove(place);
      notifyAll();
    }
  }

  private void leave(long taken, AtomicBoolean back) {
    if (back.compareAndSet(false, true)) {
      synchronized (this) {
        free += taken;
        notifyAll();
      }
    }
  }
}
