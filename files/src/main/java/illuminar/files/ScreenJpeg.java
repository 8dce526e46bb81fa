package illuminar.files;

import illuminar.core.picture.Picture;
import illuminar.core.render.Display;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.IntStream;

/** Pictures for the screen: JPEG without metadata. */
public final class ScreenJpeg {
  /** Strips begin on whole blocks, so that cutting changes nothing. */
  private static final int BLOCK = 16;

  private static final int STRIPS = 2;

  /** Pixels that a strip is worth; cutting and joining smaller ones takes longer than it saves. */
  private static final int WORTH = 200_000;

  private ScreenJpeg() {}

  /** So many rows of a picture, encoded. */
  public record Strip(int rows, byte[] jpeg) {}

  /**
   * The picture in strips from top to bottom, encoded side by side.
   *
   * @param quality from 0 to 1
   */
  public static List<Strip> strips(Picture p, double quality) {
    int blocks = (p.height() + BLOCK - 1) / BLOCK;
    int worth = p.width() * p.height() / WORTH;
    int strips = Math.max(1, Math.min(STRIPS, Math.min(blocks, worth)));
    return IntStream.range(0, strips)
        .parallel()
        .mapToObj(
            k -> {
              int from = blocks * k / strips * BLOCK;
              int to = Math.min(p.height(), blocks * (k + 1) / strips * BLOCK);
              return new Strip(to - from, rows(p, from, to, quality));
            })
        .toList();
  }

  /** The picture in one piece. {@code quality} from 0 to 1. */
  public static byte[] of(Picture p, double quality) {
    return rows(p, 0, p.height(), quality);
  }

  private static byte[] rows(Picture p, int from, int to, double quality) {
    try {
      return PictureWriter.quickJpeg(
          PictureWriter.image8(p.width(), to - from, Display.to8(p, from, to)), quality);
    } catch (IOException e) {
      throw new UncheckedIOException("the picture could not be encoded", e);
    }
  }
}
