package illuminar.core.frame;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A frame's pixels at full size and at halved sizes, from which any raster is drawn. Values are
 * display-linear light in the camera's own rendition with sRGB primaries, in [0, 1].
 *
 * <p>Halved levels are kept as 16-bit square roots of light. A pyramid may come without its full
 * size (from a stored proxy); {@link #serves} then says which rasters it can draw.
 */
public final class Pyramid {
  private final int fullWidth;
  private final int fullHeight;
  private final Optional<Codes> full;
  private final List<Level> levels;

  /** A halved level: {@code power} halvings of the full size; planar codes, three planes. */
  public record Level(int power, int width, int height, char[] codes) {}

  private Pyramid(int fullWidth, int fullHeight, Optional<Codes> full, List<Level> levels) {
    this.fullWidth = fullWidth;
    this.fullHeight = fullHeight;
    this.full = full;
    this.levels = levels;
  }

  /** Builds all levels down to about 64 pixels. {@code codes} is kept, not copied. */
  public static Pyramid of(Codes codes) {
    List<Level> levels = new ArrayList<>();
    Level level = halve(codes);
    levels.add(level);
    while (Math.max(level.width, level.height) > 96) {
      level = halve(level);
      levels.add(level);
    }
    return new Pyramid(codes.width(), codes.height(), Optional.of(codes), List.copyOf(levels));
  }

  /** From stored levels alone; the first is the finest. */
  public static Pyramid ofLevels(int fullWidth, int fullHeight, List<Level> levels) {
    return new Pyramid(fullWidth, fullHeight, Optional.empty(), List.copyOf(levels));
  }

  public int width() {
    return fullWidth;
  }

  public int height() {
    return fullHeight;
  }

  /** The full-size codes, where they are present. */
  public Optional<Codes> full() {
    return full;
  }

  /** Levels of at most {@code longEdge} pixels, for storing as a proxy. */
  public List<Level> levelsUpTo(int longEdge) {
    List<Level> small =
        levels.stream().filter(l -> Math.max(l.width, l.height) <= longEdge).toList();
    return small.isEmpty() ? levels.subList(levels.size() - 1, levels.size()) : small;
  }

  /** Whether a raster of this scale can be drawn from what is here without enlarging. */
  public boolean serves(double scale) {
    return full.isPresent() || scale <= Math.scalb(1.0, -levels.get(0).power) * 1.0001;
  }

  /** Bytes held. */
  public long bytes() {
    long sum = full.map(c -> c.eight().length + 2L * c.sixteen().length).orElse(0L);
    for (Level l : levels) {
      sum += 2L * l.codes.length;
    }
    return sum;
  }

  private static float[] displayTable8() {
    float[] t = new float[256];
    for (int i = 0; i < 256; i++) {
      t[i] = Srgb.decode8(i);
    }
    return t;
  }

  private static final float[] DISPLAY_8 = displayTable8();
  private static final Response STANDARD = Response.standard();

  private static final class Sixteen {
    static final float[] ENCODED = table(false);
    static final float[] LINEAR = table(true);

    private static float[] table(boolean linear) {
      float[] t = new float[65536];
      for (int i = 0; i < t.length; i++) {
        t[i] = linear ? STANDARD.toDisplay(1, i / 65535f) : (float) Srgb.decode(i / 65535.0);
      }
      return t;
    }
  }

  private static float[] table(Codes codes) {
    return codes.is8() ? DISPLAY_8 : codes.linear() ? Sixteen.LINEAR : Sixteen.ENCODED;
  }

  private static char root(float v) {
    return (char) (int) ((float) Math.sqrt(v) * 65535 + 0.5f);
  }

  private static Level halve(Codes codes) {
    int w = (codes.width() + 1) / 2;
    int h = (codes.height() + 1) / 2;
    char[] out = new char[3 * w * h];
    float[] quarter = table(codes).clone();
    for (int i = 0; i < quarter.length; i++) {
      quarter[i] /= 4;
    }
    Bands.of(
        h,
        32,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            int top = 2 * y * codes.width();
            int low = Math.min(codes.height() - 1, 2 * y + 1) * codes.width();
            if (codes.is8()) {
              halve(codes.eight(), quarter, codes.width(), top, low, out, y * w, w, w * h);
            } else {
              halve(codes.sixteen(), quarter, codes.width(), top, low, out, y * w, w, w * h);
            }
          }
        });
    return new Level(1, w, h, out);
  }

  private static void halve(
      byte[] in, float[] quarter, int width, int top, int low, char[] out, int at, int w, int n) {
    for (int x = 0; x < w; x++) {
      int right = 2 * x + 1 < width ? 3 : 0;
      int a = (top + 2 * x) * 3;
      int b = (low + 2 * x) * 3;
      for (int k = 0; k < 3; k++) {
        out[at + k * n + x] =
            root(
                quarter[in[a + k] & 255]
                    + quarter[in[a + right + k] & 255]
                    + quarter[in[b + k] & 255]
                    + quarter[in[b + right + k] & 255]);
      }
    }
  }

  private static void halve(
      short[] in, float[] quarter, int width, int top, int low, char[] out, int at, int w, int n) {
    for (int x = 0; x < w; x++) {
      int right = 2 * x + 1 < width ? 3 : 0;
      int a = (top + 2 * x) * 3;
      int b = (low + 2 * x) * 3;
      for (int k = 0; k < 3; k++) {
        out[at + k * n + x] =
            root(
                quarter[in[a + k] & 65535]
                    + quarter[in[a + right + k] & 65535]
                    + quarter[in[b + k] & 65535]
                    + quarter[in[b + right + k] & 65535]);
      }
    }
  }

  private static Level halve(Level from) {
    int w = (from.width + 1) / 2;
    int h = (from.height + 1) / 2;
    char[] out = new char[3 * w * h];
    Bands.of(
        3 * h,
        64,
        (first, end) -> {
          for (int k = first; k < end; k++) {
            int plane = k / h * from.width * from.height;
            int y = k % h;
            int a = plane + 2 * y * from.width;
            int b = plane + Math.min(from.height - 1, 2 * y + 1) * from.width;
            for (int x = 0; x < w; x++) {
              int xa = 2 * x;
              int xb = Math.min(from.width - 1, 2 * x + 1);
              float sum =
                  sq(from.codes[a + xa])
                      + sq(from.codes[a + xb])
                      + sq(from.codes[b + xa])
                      + sq(from.codes[b + xb]);
              out[k * w + x] = root(sum * QUARTER);
            }
          }
        });
    return new Level(from.power + 1, w, h, out);
  }

  private static final float QUARTER = 1f / (4f * 65535f * 65535f);

  static final float UNIT = 1f / (65535f * 65535f);

  private static float sq(char v) {
    return (float) v * v;
  }

  /**
   * Draws this frame, lined up to the anchor, at the pixels of a raster of the anchor.
   *
   * @param toFrame where points of the anchor lie in this frame
   * @return display-linear light, sRGB primaries; beyond the frame's edge its edge is continued
   */
  public Picture draw(Raster raster, Similarity toFrame, int anchorWidth, int anchorHeight) {
    Picture out = Picture.of(raster.width(), raster.height());
    Bands.of(
        raster.height(),
        Math.max(1, 40000 / raster.width()),
        (from, to) -> {
          FrameRows rows = rows(raster, toFrame, anchorWidth, anchorHeight);
          for (int j = from; j < to; j++) {
            rows.light(j, out.r(), out.g(), out.b(), j * raster.width());
          }
        });
    return out;
  }

  /** How often the frame can be halved. */
  public int halvings() {
    return levels.get(levels.size() - 1).power;
  }

  /** The frame halved {@code power} times and not moved, display-linear; 0 is its full size. */
  public Picture halved(int power) {
    for (Level l : levels) {
      if (l.power == power) {
        Picture out = Picture.of(l.width, l.height);
        int n = l.width * l.height;
        for (int c = 0; c < 3; c++) {
          float[] light = out.channel(c);
          for (int i = 0; i < n; i++) {
            light[i] = sq(l.codes[c * n + i]) * UNIT;
          }
        }
        return out;
      }
    }
    return draw(
        Raster.whole(fullWidth, fullHeight, Math.scalb(1.0, -power)),
        Similarity.NONE,
        fullWidth,
        fullHeight);
  }

  /** A reader of this frame's rows at the pixels of a raster of the anchor, for one thread. */
  public FrameRows rows(Raster raster, Similarity toFrame, int anchorWidth, int anchorHeight) {
    int power = 0;
    while (power < levels.size() && raster.scale() * (3 << power) <= 1.0001) {
      power++;
    }
    FrameSource source;
    if (power == 0 && full.isPresent()) {
      Codes codes = full.get();
      source =
          codes.is8()
              ? new FrameSource.Eight(codes, table(codes))
              : new FrameSource.Sixteen(codes, table(codes));
    } else {
      Level level = level(power);
      power = level.power;
      source = new FrameSource.Halved(level);
    }
    return new FrameRows(
        raster,
        source,
        Math.scalb(1.0, -power),
        toFrame,
        fullWidth,
        fullHeight,
        anchorWidth,
        anchorHeight);
  }

  /** The coarsest level that is fine enough. */
  private Level level(int power) {
    for (Level l : levels) {
      if (l.power >= power) {
        return l;
      }
    }
    return levels.get(levels.size() - 1);
  }
}
