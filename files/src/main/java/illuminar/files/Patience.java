package illuminar.files;

import java.time.Duration;

/**
 * How long a processor may work for a file; what waits for the machine is no fault of the file.
 *
 * @param start for the header
 * @param megapixel how much more for each million of pixels
 */
public record Patience(Duration start, Duration megapixel) {
  /** Twice what the largest need here at least; 10 s for those. */
  public static final Patience USUAL = new Patience(Duration.ofSeconds(5), Duration.ofMillis(45));

  /** So many times as long may pass by the clock. */
  private static final int WAITS = 6;

  /** What a file with a header may take in all. */
  Duration of(Header header) {
    return start.plus(megapixel.multipliedBy(1 + header.pixels() / 1_000_000));
  }

  /** Whether more was worked, or more time has passed, than may. */
  static boolean over(Duration may, Duration worked, Duration clock) {
    return worked.compareTo(may) > 0 || clock.compareTo(may.multipliedBy(WAITS)) > 0;
  }
}
