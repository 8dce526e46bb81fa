package illuminar.core.picture;

import java.util.stream.IntStream;

/** Shares the rows of a picture out to all cores. */
public final class Bands {
  private Bands() {}

  /** Work on rows {@code from} up to, not with, {@code to}. */
  public interface Work {
    void rows(int from, int to);
  }

  /** Cuts {@code height} rows into bands of about {@code band} and works on them side by side. */
  public static void of(int height, int band, Work work) {
    int bands = Math.max(1, (height + band - 1) / band);
    if (bands == 1) {
      work.rows(0, height);
      return;
    }
    IntStream.range(0, bands)
        .parallel()
        .forEach(
            k ->
                work.rows(
                    (int) ((long) height * k / bands), (int) ((long) height * (k + 1) / bands)));
  }
}
