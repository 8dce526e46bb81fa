package illuminar.server.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Every tile of a delivery asks; the database hears of it now and then. Our own rule. */
class AskingTest {
  @Test
  void theFirstAnswerCountsForAWhile() {
    AtomicInteger asked = new AtomicInteger();
    Asking no =
        new Asking(
            () -> {
              asked.incrementAndGet();
              return false;
            });
    for (int k = 0; k < 1000; k++) {
      assertThat(no.getAsBoolean()).isFalse();
    }
    assertThat(asked.get()).isBetween(1, 100);
  }
}
