package illuminar.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** Waiting without taking the pool's threads; common practice, no source. */
class TurnTest {
  /** Who has the turn needs the pool, all of whose threads wait for the turn. */
  @Test
  void aPoolThatWaitsStillWorksForWhoeverHasTheTurn() throws Exception {
    ForkJoinPool pool = new ForkJoinPool(1);
    Turn turn = new Turn();
    CountDownLatch waits = new CountDownLatch(1);
    String done =
        turn.take(
            () -> {
              ForkJoinTask<?> other =
                  pool.submit(
                      () -> {
                        waits.countDown();
                        return turn.take(() -> "late");
                      });
              try {
                assertThat(waits.await(30, TimeUnit.SECONDS)).isTrue();
                String mine = pool.submit(() -> "mine").get(30, TimeUnit.SECONDS);
                assertThat(other.isDone()).isFalse();
                return mine;
              } catch (Exception e) {
                throw new IllegalStateException(e);
              }
            });
    assertThat(done).isEqualTo("mine");
    pool.shutdown();
    assertThat(pool.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void whatFailedIsComputedAgainAndWhatDidNotIsNot() {
    AtomicInteger asked = new AtomicInteger();
    Once<String> once =
        new Once<>(
            () -> {
              if (asked.incrementAndGet() == 1) {
                throw new IllegalStateException("not yet");
              }
              return "found";
            });
    assertThatThrownBy(once::get).hasMessage("not yet");
    assertThat(once.there()).isEmpty();
    assertThat(once.get()).isEqualTo("found");
    assertThat(once.get()).isEqualTo("found");
    assertThat(once.there()).contains("found");
    assertThat(asked).hasValue(2);
  }

  /** Eight people draw from frames whose full size is let go again and again under their hands. */
  @Test
  @Timeout(120)
  void framesAreReadAndLetGoWhileManyDraw() throws Exception {
    int w = 400;
    int h = 300;
    byte[] rgb = new byte[3 * w * h];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = (byte) (i * 31);
    }
    Codes codes = Codes.of8(w, h, rgb);
    Pyramid whole = Pyramid.of(codes);
    Raster raster = Raster.whole(w, h, 0.5);
    Picture expected = whole.draw(raster, Similarity.NONE, w, h);
    List<Thread> people = new ArrayList<>();
    AtomicInteger right = new AtomicInteger();
    for (int p = 0; p < 8; p++) {
      Pyramid own = Pyramid.ofLevels(w, h, false, whole.levelsFrom(2), () -> codes);
      Thread person =
          new Thread(
              () -> {
                for (int k = 0; k < 200; k++) {
                  Picture drawn = own.draw(raster, Similarity.NONE, w, h);
                  right.addAndGet(java.util.Arrays.equals(drawn.g(), expected.g()) ? 1 : 0);
                  own.letGo();
                }
              });
      person.setDaemon(true);
      person.start();
      people.add(person);
    }
    for (Thread person : people) {
      person.join(Duration.ofSeconds(100).toMillis());
    }
    assertThat(right).hasValue(8 * 200);
  }
}
