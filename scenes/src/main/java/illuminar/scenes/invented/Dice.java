package illuminar.scenes.invented;

import java.util.List;
import java.util.SplittableRandom;

/**
 * Repeatable chance: the same seed throws the same numbers, the next seed others. A generator that
 * begins at a multiple of its own stride would throw the next seed's numbers one later.
 */
final class Dice {
  private final SplittableRandom random;

  Dice(long seed) {
    random = new SplittableRandom(seed).split();
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
