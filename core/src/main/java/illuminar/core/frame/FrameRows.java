package illuminar.core.frame;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Raster;

/**
 * Reads a lined-up frame row by row at the pixels of a raster of the anchor: between pixels
 * bilinearly, or by exact mean over the area that a smaller pixel covers. Positions depend on the
 * pixel's place in the view alone, so every tiling reads the same bits. One object serves one
 * thread.
 */
public final class FrameRows {
  private final Raster raster;
  private final FrameSource source;
  private final int width;
  private final int height;
  private final double ratio;
  private final boolean soft;
  private final double startU;
  private final double startV;
  private final double acrossU;
  private final double acrossV;
  private final double downU;
  private final double downV;

  FrameRows(
      Raster raster,
      FrameSource source,
      double size,
      Similarity move,
      int frameWidth,
      int frameHeight,
      int anchorWidth,
      int anchorHeight) {
    this.raster = raster;
    this.source = source;
    width = source.width;
    height = source.height;
    ratio = size / raster.scale();
    soft = ratio > 1.05;
    double cx = (anchorWidth - 1) / 2.0;
    double cy = (anchorHeight - 1) / 2.0;
    double step = 1 / raster.scale();
    // position in the source = start + across · column + down · row, both counted over the view
    double first = 0.5 * step - 0.5;
    double u0 = move.a() * (first - cx) - move.b() * (first - cy) + move.dx();
    double v0 = move.b() * (first - cx) + move.a() * (first - cy) + move.dy();
    startU = (u0 + (frameWidth - 1) / 2.0 + 0.5) * size - 0.5;
    startV = (v0 + (frameHeight - 1) / 2.0 + 0.5) * size - 0.5;
    acrossU = move.a() * step * size;
    acrossV = move.b() * step * size;
    downU = -move.b() * step * size;
    downV = move.a() * step * size;
  }

  /**
   * Display-linear light of row {@code j} of the raster, sRGB primaries, written from {@code at};
   * of wide frames colours that sRGB cannot show have channels below 0 or above 1.
   */
  public void light(int j, float[] r, float[] g, float[] b, int at) {
    light(j, 0, raster.width(), r, g, b, at);
  }

  private void light(int j, int first, int end, float[] r, float[] g, float[] b, int at) {
    if (!soft && source instanceof FrameSource.Eight eight) {
      FrameSource.Walk walk = walk(j, first, end);
      mean(j, first, Math.min(end, walk.first()), r, g, b, at);
      if (walk.first() <= walk.last()) {
        eight.run(walk, r, g, b, at);
        mean(j, walk.last() + 1, end, r, g, b, at);
      }
      return;
    }
    mean(j, first, end, r, g, b, at);
  }

  /** Light of some pixels of row {@code j}, each read by itself. */
  private void mean(int j, int first, int end, float[] r, float[] g, float[] b, int at) {
    double u0 = startU + downU * (raster.y() + j);
    double v0 = startV + downV * (raster.y() + j);
    int n = soft ? 2 + (int) Math.ceil(ratio) : 2;
    int[] xs = new int[n];
    int[] ys = new int[n];
    float[] wx = new float[n];
    float[] wy = new float[n];
    int ny = 0;
    for (int i = first; i < end; i++) {
      double u = u0 + acrossU * (raster.x() + i);
      int nx = soft ? cover(u, width, xs, wx) : between(u, width, xs, wx);
      if (i == first || acrossV != 0) {
        double v = v0 + acrossV * (raster.x() + i);
        ny = soft ? cover(v, height, ys, wy) : between(v, height, ys, wy);
      }
      source.area(xs, wx, nx, ys, wy, ny);
      r[at + i] = source.r;
      g[at + i] = source.g;
      b[at + i] = source.b;
    }
  }

  /**
   * sRGB codes of pixels {@code first} up to {@code end} of row {@code j}: 0 to 1, of wide frames
   * also beyond.
   */
  public void codes(int j, int first, int end, float[] r, float[] g, float[] b) {
    if (!soft && source.codesAreStored()) {
      stored(j, first, end, r, g, b);
      return;
    }
    light(j, first, end, r, g, b, 0);
    for (int i = first; i < end; i++) {
      r[i] = Srgb.encodeWide(r[i]);
      g[i] = Srgb.encodeWide(g[i]);
      b[i] = Srgb.encodeWide(b[i]);
    }
  }

  /** The two pixels on either side of a position and their shares. */
  private static int between(double u, int size, int[] at, float[] share) {
    double c = u < 0 ? 0 : u > size - 1 ? size - 1 : u;
    int i = (int) c;
    float f = (float) (c - i);
    at[0] = i;
    share[0] = 1 - f;
    if (f == 0) {
      return 1;
    }
    at[1] = i + 1;
    share[1] = f;
    return 2;
  }

  /** The pixels under a span of {@code ratio} about a position and the share each has in it. */
  private int cover(double u, int size, int[] at, float[] share) {
    double from = u + 0.5 - ratio / 2;
    double to = from + ratio;
    int first = (int) from - (from < 0 ? 1 : 0);
    float whole = (float) (1 / ratio);
    int n = 0;
    for (int i = first; i < to; i++) {
      at[n] = i < 0 ? 0 : i >= size ? size - 1 : i;
      share[n++] = whole;
    }
    share[0] = (float) ((first + 1 - from) / ratio);
    share[n - 1] = (float) ((to - (first + n - 1)) / ratio);
    return n;
  }

  private static final double FIXED = 1L << 32;

  private FrameSource.Walk walk(int j, int begin, int end) {
    long stepU = Math.round(acrossU * FIXED);
    long stepV = Math.round(acrossV * FIXED);
    long u = Math.round((startU + downU * (raster.y() + j)) * FIXED) + stepU * raster.x();
    long v = Math.round((startV + downV * (raster.y() + j)) * FIXED) + stepV * raster.x();
    int first = inside(u, stepU, v, stepV, begin, end, 1);
    int last = inside(u, stepU, v, stepV, end - 1, begin - 1, -1);
    return new FrameSource.Walk(u, stepU, v, stepV, first, last);
  }

  /**
   * Bilinear between 8-bit codes as they are stored, positions in steps of 1/256 pixel. Inside the
   * frame each column is read once: what stands right of one pixel stands left of the next.
   */
  private void stored(int j, int begin, int end, float[] r, float[] g, float[] b) {
    byte[] codes = ((FrameSource.Eight) source).codes;
    FrameSource.Walk walk = walk(j, begin, end);
    for (int i = begin; i < end; i++) {
      if (i == walk.first()) {
        run(codes, walk, r, g, b);
        i = walk.last();
      } else {
        one(codes, walk.uAt(i), walk.vAt(i), r, g, b, i);
      }
    }
  }

  /** The first pixel, going by {@code by}, whose four neighbours all lie in the frame. */
  private int inside(long u, long stepU, long v, long stepV, int from, int end, int by) {
    for (int i = from; i != end; i += by) {
      long x = u + i * stepU >> 32;
      long y = v + i * stepV >> 32;
      if (x >= 0 && y >= 0 && x + 1 < width && y + 1 < height) {
        return i;
      }
    }
    return by > 0 ? Integer.MAX_VALUE : -1;
  }

  private static final float UNIT = 1f / (255 * 65536);

  private void run(byte[] c, FrameSource.Walk walk, float[] r, float[] g, float[] b) {
    long u = walk.uAt(walk.first());
    long v = walk.vAt(walk.first());
    int line = 3 * width;
    int seen = Integer.MIN_VALUE;
    int r0 = 0;
    int g0 = 0;
    int b0 = 0;
    for (int i = walk.first(); i <= walk.last(); i++) {
      int x = (int) (u >> 32);
      int fx = (int) (u >>> 24) & 255;
      int fy = (int) (v >>> 24) & 255;
      int p = (int) (v >> 32) * line + 3 * x;
      if (x != seen) {
        r0 = column(c, p, line, fy);
        g0 = column(c, p + 1, line, fy);
        b0 = column(c, p + 2, line, fy);
      }
      // the right side is the next pixel's left side, so it is read at the next pixel's height
      v += walk.stepV();
      int fq = (int) (v >>> 24) & 255;
      int q = (int) (v >> 32) * line + 3 * x + 3;
      int end = q + 2 + line;
      int r1;
      int g1;
      int b1;
      if (q >= 0 && end < c.length) {
        r1 = column(c, q, line, fq);
        g1 = column(c, q + 1, line, fq);
        b1 = column(c, q + 2, line, fq);
      } else {
        r1 = column(c, p + 3, line, fy);
        g1 = column(c, p + 4, line, fy);
        b1 = column(c, p + 5, line, fy);
      }
      r[i] = ((r0 << 8) + (r1 - r0) * fx) * UNIT;
      g[i] = ((g0 << 8) + (g1 - g0) * fx) * UNIT;
      b[i] = ((b0 << 8) + (b1 - b0) * fx) * UNIT;
      r0 = r1;
      g0 = g1;
      b0 = b1;
      seen = x + 1;
      u += walk.stepU();
    }
  }

  private static int column(byte[] c, int p, int line, int share) {
    int top = c[p] & 255;
    return (top << 8) + ((c[p + line] & 255) - top) * share;
  }

  private void one(byte[] c, long u, long v, float[] r, float[] g, float[] b, int at) {
    long cu = Math.max(0, Math.min((long) (width - 1) << 32, u));
    long cv = Math.max(0, Math.min((long) (height - 1) << 32, v));
    int x = (int) (cu >> 32);
    int y = (int) (cv >> 32);
    int fx = (int) (cu >>> 24) & 255;
    int fy = (int) (cv >>> 24) & 255;
    int p = (y * width + x) * 3;
    int right = x + 1 < width ? 3 : 0;
    int line = y + 1 < height ? 3 * width : 0;
    r[at] = between(column(c, p, line, fy), column(c, p + right, line, fy), fx);
    g[at] = between(column(c, p + 1, line, fy), column(c, p + right + 1, line, fy), fx);
    b[at] = between(column(c, p + 2, line, fy), column(c, p + right + 2, line, fy), fx);
  }

  private static float between(int a, int b, int share) {
    return ((a << 8) + (b - a) * share) * UNIT;
  }
}
