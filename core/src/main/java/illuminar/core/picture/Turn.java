package illuminar.core.picture;

import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;

/**
 * Work that one thread does at a time. A thread of the pool that waits for its turn is replaced by
 * another: whoever has the turn may need the pool to come to an end, and with as few threads as
 * cores all could wait for each other for ever.
 */
public final class Turn {
  private final ReentrantLock lock = new ReentrantLock();

  /** Does the work when nobody else does; the same thread may come again. */
  public <T> T take(Supplier<T> work) {
    await();
    try {
      return work.get();
    } finally {
      lock.unlock();
    }
  }

  private void await() {
    try {
      ForkJoinPool.managedBlock(new Waiting(lock));
    } catch (InterruptedException e) {
      // not thrown by a lock that is waited for without interruption
      throw new IllegalStateException(e);
    }
  }

  private record Waiting(ReentrantLock lock) implements ForkJoinPool.ManagedBlocker {
    @Override
    public boolean block() {
      lock.lock();
      return true;
    }

    @Override
    public boolean isReleasable() {
      return lock.tryLock();
    }
  }
}
