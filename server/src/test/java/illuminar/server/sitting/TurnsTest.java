package illuminar.server.sitting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** First come, first served; common practice, no source. */
class TurnsTest {
  private final CountDownLatch held = new CountDownLatch(1);
  private final ExecutorService people = Executors.newCachedThreadPool();

  @AfterEach
  void end() {
    held.countDown();
    people.shutdownNow();
  }

  /** Someone who has a turn and keeps it until {@link #held} is let go. */
  private CompletableFuture<Boolean> holder(Turns turns, long need) throws InterruptedException {
    CountDownLatch begun = new CountDownLatch(1);
    CompletableFuture<Boolean> holder =
        CompletableFuture.supplyAsync(
            () ->
                turns.take(
                    need,
                    () -> true,
                    () -> {
                      begun.countDown();
                      return waited(held);
                    }),
            people);
    begun.await();
    return holder;
  }

  private static boolean waited(CountDownLatch latch) {
    try {
      return latch.await(60, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      return false;
    }
  }

  /** Someone who wants a turn; in line when this returns. */
  private CompletableFuture<Boolean> waiting(
      Turns turns, long need, AtomicBoolean wanted, Runnable work) throws InterruptedException {
    CountDownLatch asked = new CountDownLatch(1);
    CompletableFuture<Boolean> one =
        CompletableFuture.supplyAsync(
            () ->
                turns.take(
                    need,
                    () -> {
                      asked.countDown();
                      return wanted.get();
                    },
                    () -> {
                      work.run();
                      return true;
                    }),
            people);
    asked.await();
    return one;
  }

  @Test
  void whoHasWaitedLongestIsNextThoughOthersNeedLess() throws Exception {
    Turns turns = new Turns(10);
    CompletableFuture<Boolean> first = holder(turns, 6);
    List<String> order = Collections.synchronizedList(new ArrayList<>());
    AtomicBoolean yes = new AtomicBoolean(true);
    var large = waiting(turns, 8, yes, () -> order.add("large"));
    var small = waiting(turns, 3, yes, () -> order.add("small"));
    assertThat(order).isEmpty();
    held.countDown();
    CompletableFuture.allOf(first, large, small).get(60, TimeUnit.SECONDS);
    assertThat(order).containsExactly("large", "small");
  }

  @Test
  void whoDoesNotWantToAnyMoreLeavesTheLineToTheNext() throws Exception {
    Turns turns = new Turns(10);
    CompletableFuture<Boolean> first = holder(turns, 6);
    AtomicBoolean wanted = new AtomicBoolean(true);
    var large = waiting(turns, 8, wanted, () -> {});
    var small = waiting(turns, 3, new AtomicBoolean(true), () -> {});
    wanted.set(false);
    assertThatThrownBy(large::join).hasRootCauseInstanceOf(CancellationException.class);
    assertThat(small.get(60, TimeUnit.SECONDS)).isTrue();
    assertThat(first).as("who was first has not ended").isNotDone();
  }

  @Test
  void whoTakesLongGoesOnBesideTheOthers() throws Exception {
    Turns turns = new Turns(1, Duration.ofMillis(20));
    CompletableFuture<Boolean> slow = holder(turns, 1);
    assertThat(turns.take(1, () -> true, () -> "served")).isEqualTo("served");
    assertThat(slow).isNotDone();
    held.countDown();
    assertThat(slow.get(60, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void whatNeedsMoreThanThereIsTakesAll() {
    assertThat(new Turns(4).take(100, () -> true, () -> "done")).isEqualTo("done");
  }

  @Test
  void aFailureGivesItsTurnBack() {
    Turns turns = new Turns(1);
    assertThatThrownBy(
            () ->
                turns.take(
                    1,
                    () -> true,
                    () -> {
                      throw new IllegalStateException("failed");
                    }))
        .hasMessage("failed");
    assertThat(turns.take(1, () -> true, () -> "next")).isEqualTo("next");
  }
}
