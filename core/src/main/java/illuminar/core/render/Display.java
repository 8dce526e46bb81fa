package illuminar.core.render;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;

/** From working light to sRGB codes (IEC 61966-2-1); what lies outside is clipped. */
public final class Display {
  private static final float A = (float) Space.WORK_TO_SRGB.a();
  private static final float B = (float) Space.WORK_TO_SRGB.b();
  private static final float C = (float) Space.WORK_TO_SRGB.c();
  private static final float D = (float) Space.WORK_TO_SRGB.d();
  private static final float E = (float) Space.WORK_TO_SRGB.e();
  private static final float F = (float) Space.WORK_TO_SRGB.f();
  private static final float G = (float) Space.WORK_TO_SRGB.g();
  private static final float H = (float) Space.WORK_TO_SRGB.h();
  private static final float I = (float) Space.WORK_TO_SRGB.i();

  private Display() {}

  /** Interleaved 8-bit codes, red, green, blue. */
  public static byte[] to8(Picture p) {
    return to8(p, 0, p.height());
  }

  /** The same for some of the rows. */
  public static byte[] to8(Picture p, int fromRow, int toRow) {
    byte[] out = new byte[(toRow - fromRow) * p.width() * 3];
    int k = 0;
    for (int i = fromRow * p.width(); i < toRow * p.width(); i++) {
      float r = p.r()[i];
      float g = p.g()[i];
      float b = p.b()[i];
      out[k] = Srgb.code8(A * r + B * g + C * b);
      out[k + 1] = Srgb.code8(D * r + E * g + F * b);
      out[k + 2] = Srgb.code8(G * r + H * g + I * b);
      k += 3;
    }
    return out;
  }

  /** Interleaved 16-bit codes, red, green, blue. */
  public static short[] to16(Picture p) {
    short[] out = new short[p.r().length * 3];
    for (int i = 0; i < p.r().length; i++) {
      float r = p.r()[i];
      float g = p.g()[i];
      float b = p.b()[i];
      out[3 * i] = code16(A * r + B * g + C * b);
      out[3 * i + 1] = code16(D * r + E * g + F * b);
      out[3 * i + 2] = code16(G * r + H * g + I * b);
    }
    return out;
  }

  private static short code16(float light) {
    return (short) (int) (Srgb.encodeFast(light) * 65535 + 0.5f);
  }
}
