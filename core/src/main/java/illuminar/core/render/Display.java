package illuminar.core.render;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;

/** From working light to 8-bit sRGB codes (IEC 61966-2-1); what lies outside is clipped. */
public final class Display {
  private static final float[] M = Space.WORK_TO_SRGB.floats();

  private Display() {}

  /** Interleaved 8-bit codes, red, green, blue. */
  public static byte[] to8(Picture p) {
    return to8(p, 0, p.height());
  }

  /** The same for some of the rows. */
  public static byte[] to8(Picture p, int fromRow, int toRow) {
    int w = p.width();
    byte[] out = new byte[(toRow - fromRow) * w * 3];
    float[] light = new float[w];
    for (int y = fromRow; y < toRow; y++) {
      for (int c = 0; c < 3; c++) {
        channel(p, y * w, c, light);
        int at = (y - fromRow) * w * 3 + c;
        for (int x = 0; x < w; x++) {
          out[at + 3 * x] = Srgb.code8(light[x]);
        }
      }
    }
    return out;
  }

  /** One sRGB channel of a row that begins at {@code at}. */
  private static void channel(Picture p, int at, int c, float[] out) {
    float[] r = p.r();
    float[] g = p.g();
    float[] b = p.b();
    float kr = M[3 * c];
    float kg = M[3 * c + 1];
    float kb = M[3 * c + 2];
    for (int x = 0; x < out.length; x++) {
      out[x] = kr * r[at + x] + kg * g[at + x] + kb * b[at + x];
    }
  }
}
