package illuminar.core.frame;

/**
 * Where values come from: full-size codes or a halved level. A tap adds weighted light, to be read
 * from {@code r}, {@code g}, {@code b}.
 */
abstract sealed class FrameSource {
  final int width;
  final int height;
  float r;
  float g;
  float b;

  FrameSource(int width, int height) {
    this.width = width;
    this.height = height;
  }

  /** Sets the light of a span of pixels with weights {@code wx[i] · wy[j]}. */
  abstract void area(int[] xs, float[] wx, int nx, int[] ys, float[] wy, int ny);

  /** Display codes between four pixels, where they need no way over light. */
  boolean codesAreStored() {
    return false;
  }

  /**
   * A walk along a row of the raster through the frame, positions in steps of 2^-32 pixel.
   *
   * @param first the first pixel of the row whose four neighbours all lie in the frame
   * @param last the last such pixel; before {@code first} if there is none
   */
  record Walk(long u, long stepU, long v, long stepV, int first, int last) {
    long uAt(int i) {
      return u + i * stepU;
    }

    long vAt(int i) {
      return v + i * stepV;
    }
  }

  /** Full size, 8-bit display codes. */
  static final class Eight extends FrameSource {
    final byte[] codes;
    private final float[] table;

    Eight(Codes codes, float[] table) {
      super(codes.width(), codes.height());
      this.codes = codes.eight();
      this.table = table;
    }

    @Override
    boolean codesAreStored() {
      return true;
    }

    /** Bilinear between lights; as with codes, each column is read once. */
    void run(Walk walk, float[] r, float[] g, float[] b, int at) {
      byte[] c = codes;
      long u = walk.uAt(walk.first());
      long v = walk.vAt(walk.first());
      int line = 3 * width;
      int seen = Integer.MIN_VALUE;
      float r0 = 0;
      float g0 = 0;
      float b0 = 0;
      for (int i = walk.first(); i <= walk.last(); i++) {
        int x = (int) (u >> 32);
        float fx = ((int) (u >>> 8) & 0xffffff) * 0x1p-24f;
        float fy = ((int) (v >>> 8) & 0xffffff) * 0x1p-24f;
        int p = (int) (v >> 32) * line + 3 * x;
        if (x != seen) {
          r0 = column(c, p, line, fy);
          g0 = column(c, p + 1, line, fy);
          b0 = column(c, p + 2, line, fy);
        }
        v += walk.stepV();
        float fq = ((int) (v >>> 8) & 0xffffff) * 0x1p-24f;
        int q = (int) (v >> 32) * line + 3 * x + 3;
        boolean within = q >= 0 && q + 2 + line < c.length;
        int right = within ? q : p + 3;
        float height = within ? fq : fy;
        float r1 = column(c, right, line, height);
        float g1 = column(c, right + 1, line, height);
        float b1 = column(c, right + 2, line, height);
        r[at + i] = r0 + (r1 - r0) * fx;
        g[at + i] = g0 + (g1 - g0) * fx;
        b[at + i] = b0 + (b1 - b0) * fx;
        r0 = r1;
        g0 = g1;
        b0 = b1;
        seen = x + 1;
        u += walk.stepU();
      }
    }

    private float column(byte[] c, int p, int line, float share) {
      float top = table[c[p] & 255];
      return top + (table[c[p + line] & 255] - top) * share;
    }

    @Override
    void area(int[] xs, float[] wx, int nx, int[] ys, float[] wy, int ny) {
      float sr = 0;
      float sg = 0;
      float sb = 0;
      for (int v = 0; v < ny; v++) {
        int line = ys[v] * width;
        for (int u = 0; u < nx; u++) {
          int p = 3 * (line + xs[u]);
          float weight = wx[u] * wy[v];
          sr += table[codes[p] & 255] * weight;
          sg += table[codes[p + 1] & 255] * weight;
          sb += table[codes[p + 2] & 255] * weight;
        }
      }
      r = sr;
      g = sg;
      b = sb;
    }
  }

  /** Full size, 16-bit codes. */
  static final class Sixteen extends FrameSource {
    private final short[] codes;
    private final float[] table;

    Sixteen(Codes codes, float[] table) {
      super(codes.width(), codes.height());
      this.codes = codes.sixteen();
      this.table = table;
    }

    @Override
    void area(int[] xs, float[] wx, int nx, int[] ys, float[] wy, int ny) {
      float sr = 0;
      float sg = 0;
      float sb = 0;
      for (int v = 0; v < ny; v++) {
        int line = ys[v] * width;
        for (int u = 0; u < nx; u++) {
          int p = 3 * (line + xs[u]);
          float weight = wx[u] * wy[v];
          sr += table[codes[p] & 65535] * weight;
          sg += table[codes[p + 1] & 65535] * weight;
          sb += table[codes[p + 2] & 65535] * weight;
        }
      }
      r = sr;
      g = sg;
      b = sb;
    }
  }

  static FrameSource of(Pyramid.Level level) {
    return level.wide() ? new HalvedWide(level) : new Halved(level);
  }

  /** A halved level: planes of 16-bit square roots of light. */
  static final class Halved extends FrameSource {
    private final char[] codes;
    private final int plane;

    Halved(Pyramid.Level level) {
      super(level.width(), level.height());
      codes = level.codes();
      plane = level.width() * level.height();
    }

    @Override
    void area(int[] xs, float[] wx, int nx, int[] ys, float[] wy, int ny) {
      float sr = 0;
      float sg = 0;
      float sb = 0;
      for (int v = 0; v < ny; v++) {
        int line = ys[v] * width;
        for (int u = 0; u < nx; u++) {
          int p = line + xs[u];
          float weight = wx[u] * wy[v];
          float red = codes[p];
          float green = codes[p + plane];
          float blue = codes[p + 2 * plane];
          sr += red * red * weight;
          sg += green * green * weight;
          sb += blue * blue * weight;
        }
      }
      r = sr * Halving.UNIT;
      g = sg * Halving.UNIT;
      b = sb * Halving.UNIT;
    }
  }

  /** A halved level of a wide frame: planes of roots with their signs. */
  static final class HalvedWide extends FrameSource {
    private final char[] codes;
    private final int plane;

    HalvedWide(Pyramid.Level level) {
      super(level.width(), level.height());
      codes = level.codes();
      plane = level.width() * level.height();
    }

    @Override
    void area(int[] xs, float[] wx, int nx, int[] ys, float[] wy, int ny) {
      float sr = 0;
      float sg = 0;
      float sb = 0;
      for (int v = 0; v < ny; v++) {
        int line = ys[v] * width;
        for (int u = 0; u < nx; u++) {
          int p = line + xs[u];
          float weight = wx[u] * wy[v];
          sr += Halving.wideLight(codes[p]) * weight;
          sg += Halving.wideLight(codes[p + plane]) * weight;
          sb += Halving.wideLight(codes[p + 2 * plane]) * weight;
        }
      }
      r = sr;
      g = sg;
      b = sb;
    }
  }
}
