package illuminar.scenes.invented;

import java.util.List;
import java.util.SplittableRandom;

/** Repeatable chance: the same seed throws the same numbers. */
final class Dice {
  private final SplittableRandom random;

  Dice(long seed) {
    random = new SplittableRandom(seed * 0x9E3779B97F4A7C15L + 77);
  }

  double between(double from, double to) {
    return from + (to - from) * random.nextDouble();
  }

  /** A whole number from {@code from} to {@code to}, both possible. */
  int whole(int from, int to) {
    return from + random.nextInt(to - from + 1);
  }

  /** True in {@code share} of all throws. */
  boolean chance(double share) {
    return random.nextDouble() < share;
  }

  <T> T pick(List<T> from) {
    return from.get(random.nextInt(from.size()));
  }
}
