package illuminar.server.job;

import java.util.function.BooleanSupplier;

/** A question that many threads ask all the time, put only every now and then. */
final class Asking implements BooleanSupplier {
  private static final long EVERY_NS = 300_000_000L;

  private final BooleanSupplier question;
  private volatile boolean answer = true;
  private volatile long asked = System.nanoTime() - EVERY_NS;

  Asking(BooleanSupplier question) {
    this.question = question;
  }

  @Override
  public boolean getAsBoolean() {
    long now = System.nanoTime();
    if (now - asked >= EVERY_NS) {
      asked = now;
      answer = question.getAsBoolean();
    }
    return answer;
  }
}
