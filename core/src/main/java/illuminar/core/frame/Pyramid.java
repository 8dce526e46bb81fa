package illuminar.core.frame;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

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
    return (char) (Math.sqrt(Math.max(0, Math.min(1, v))) * 65535 + 0.5);
  }

  private static Level halve(Codes codes) {
    int w = (codes.width() + 1) / 2;
    int h = (codes.height() + 1) / 2;
    char[] out = new char[3 * w * h];
    float[] table = table(codes);
    IntStream.range(0, h)
        .parallel()
        .forEach(
            y -> {
              int y1 = Math.min(codes.height() - 1, 2 * y + 1);
              for (int x = 0; x < w; x++) {
                int x1 = Math.min(codes.width() - 1, 2 * x + 1);
                int a = (2 * y * codes.width() + 2 * x) * 3;
                int b = (2 * y * codes.width() + x1) * 3;
                int c = (y1 * codes.width() + 2 * x) * 3;
                int d = (y1 * codes.width() + x1) * 3;
                for (int k = 0; k < 3; k++) {
                  float sum =
                      codes.is8()
                          ? table[codes.eight()[a + k] & 255]
                              + table[codes.eight()[b + k] & 255]
                              + table[codes.eight()[c + k] & 255]
                              + table[codes.eight()[d + k] & 255]
                          : table[codes.sixteen()[a + k] & 65535]
                              + table[codes.sixteen()[b + k] & 65535]
                              + table[codes.sixteen()[c + k] & 65535]
                              + table[codes.sixteen()[d + k] & 65535];
                  out[k * w * h + y * w + x] = root(sum / 4);
                }
              }
            });
    return new Level(1, w, h, out);
  }

  private static Level halve(Level from) {
    int w = (from.width + 1) / 2;
    int h = (from.height + 1) / 2;
    char[] out = new char[3 * w * h];
    int plane = from.width * from.height;
    IntStream.range(0, h)
        .parallel()
        .forEach(
            y -> {
              int ya = 2 * y * from.width;
              int yb = Math.min(from.height - 1, 2 * y + 1) * from.width;
              for (int k = 0; k < 3; k++) {
                for (int x = 0; x < w; x++) {
                  int xa = 2 * x;
                  int xb = Math.min(from.width - 1, 2 * x + 1);
                  int p = k * plane;
                  float sum =
                      sq(from.codes[p + ya + xa])
                          + sq(from.codes[p + ya + xb])
                          + sq(from.codes[p + yb + xa])
                          + sq(from.codes[p + yb + xb]);
                  out[k * w * h + y * w + x] = root(sum / 4 * UNIT);
                }
              }
            });
    return new Level(from.power + 1, w, h, out);
  }

  private static final float UNIT = 1f / (65535f * 65535f);

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
    int bands = Math.max(1, Math.min(raster.height(), raster.pixels() / 40000));
    IntStream.range(0, bands)
        .parallel()
        .forEach(
            k -> {
              int from = (int) ((long) raster.height() * k / bands);
              int to = (int) ((long) raster.height() * (k + 1) / bands);
              draw(raster, toFrame, anchorWidth, anchorHeight, from, to, out);
            });
    return out;
  }

  private void draw(
      Raster raster,
      Similarity move,
      int anchorWidth,
      int anchorHeight,
      int from,
      int to,
      Picture out) {
    int power = 0;
    while (power < levels.size() && raster.scale() * (3 << power) <= 1.0001) {
      power++;
    }
    if (power == 0 && full.isEmpty()) {
      power = levels.get(0).power;
    }
    Sampler sampler = power == 0 ? new FullSampler(full.orElseThrow()) : levelSampler(power);
    double size = Math.scalb(1.0, -power);
    double ratio = size / raster.scale();
    double cx = (anchorWidth - 1) / 2.0;
    double cy = (anchorHeight - 1) / 2.0;
    double fx = (fullWidth - 1) / 2.0 - cx;
    double fy = (fullHeight - 1) / 2.0 - cy;
    boolean soft = ratio > 1.05;
    for (int j = from; j < to; j++) {
      double y = raster.fullY(j) - cy;
      for (int i = 0; i < raster.width(); i++) {
        double x = raster.fullX(i) - cx;
        double u = cx + move.a() * x - move.b() * y + move.dx() + fx;
        double v = cy + move.b() * x + move.a() * y + move.dy() + fy;
        double su = (u + 0.5) * size - 0.5;
        double sv = (v + 0.5) * size - 0.5;
        int at = j * raster.width() + i;
        if (soft) {
          sampler.area(su + 0.5 - ratio / 2, sv + 0.5 - ratio / 2, ratio);
        } else {
          sampler.begin();
          sampler.add((float) su, (float) sv, 1);
        }
        out.r()[at] = sampler.r;
        out.g()[at] = sampler.g;
        out.b()[at] = sampler.b;
      }
    }
  }

  private Sampler levelSampler(int power) {
    for (Level l : levels) {
      if (l.power >= power) {
        return new LevelSampler(l);
      }
    }
    return new LevelSampler(levels.get(levels.size() - 1));
  }

  /** Bilinear reading; sums up weighted samples. One thread each. */
  private abstract static class Sampler {
    final int width;
    final int height;
    float r;
    float g;
    float b;

    Sampler(int width, int height) {
      this.width = width;
      this.height = height;
    }

    /**
     * Mean over a square whose corner is at (x, y); pixel i covers i to i + 1, edges are continued.
     */
    final void area(double x, double y, double size) {
      begin();
      int x0 = (int) Math.floor(x);
      int y0 = (int) Math.floor(y);
      int x1 = (int) Math.ceil(x + size);
      int y1 = (int) Math.ceil(y + size);
      double unit = 1 / (size * size);
      for (int v = y0; v < y1; v++) {
        double high = (Math.min(y + size, v + 1) - Math.max(y, v)) * unit;
        int row = v < 0 ? 0 : v >= height ? height - 1 : v;
        for (int u = x0; u < x1; u++) {
          double share = (Math.min(x + size, u + 1) - Math.max(x, u)) * high;
          one(u < 0 ? 0 : u >= width ? width - 1 : u, row, (float) share);
        }
      }
    }

    final void begin() {
      r = 0;
      g = 0;
      b = 0;
    }

    final void add(float x, float y, float weight) {
      float cx = x < 0 ? 0 : x > width - 1 ? width - 1 : x;
      float cy = y < 0 ? 0 : y > height - 1 ? height - 1 : y;
      int x0 = (int) cx;
      int y0 = (int) cy;
      float fx = cx - x0;
      float fy = cy - y0;
      int x1 = x0 + 1 < width ? x0 + 1 : x0;
      int y1 = y0 + 1 < height ? y0 + 1 : y0;
      if (fx == 0 && fy == 0) {
        one(x0, y0, weight);
        return;
      }
      four(
          x0,
          y0,
          x1,
          y1,
          (1 - fx) * (1 - fy) * weight,
          fx * (1 - fy) * weight,
          (1 - fx) * fy * weight,
          fx * fy * weight);
    }

    abstract void one(int x, int y, float weight);

    abstract void four(int x0, int y0, int x1, int y1, float w00, float w10, float w01, float w11);
  }

  private static final class FullSampler extends Sampler {
    private final byte[] eight;
    private final short[] sixteen;
    private final boolean is8;
    private final float[] table;

    FullSampler(Codes codes) {
      super(codes.width(), codes.height());
      eight = codes.eight();
      sixteen = codes.sixteen();
      is8 = codes.is8();
      table = table(codes);
    }

    @Override
    void one(int x, int y, float weight) {
      int a = (y * width + x) * 3;
      if (is8) {
        r += table[eight[a] & 255] * weight;
        g += table[eight[a + 1] & 255] * weight;
        b += table[eight[a + 2] & 255] * weight;
      } else {
        r += table[sixteen[a] & 65535] * weight;
        g += table[sixteen[a + 1] & 65535] * weight;
        b += table[sixteen[a + 2] & 65535] * weight;
      }
    }

    @Override
    void four(int x0, int y0, int x1, int y1, float w00, float w10, float w01, float w11) {
      one(x0, y0, w00);
      one(x1, y0, w10);
      one(x0, y1, w01);
      one(x1, y1, w11);
    }
  }

  private static final class LevelSampler extends Sampler {
    private final char[] codes;
    private final int plane;

    LevelSampler(Level level) {
      super(level.width, level.height);
      codes = level.codes;
      plane = level.width * level.height;
    }

    @Override
    void one(int x, int y, float weight) {
      int a = y * width + x;
      float w = weight * UNIT;
      r += sq(codes[a]) * w;
      g += sq(codes[a + plane]) * w;
      b += sq(codes[a + 2 * plane]) * w;
    }

    @Override
    void four(int x0, int y0, int x1, int y1, float w00, float w10, float w01, float w11) {
      one(x0, y0, w00);
      one(x1, y0, w10);
      one(x0, y1, w01);
      one(x1, y1, w11);
    }
  }
}
