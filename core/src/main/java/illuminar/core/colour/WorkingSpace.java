package illuminar.core.colour;

/**
 * The way between linear sRGB primaries and the working space: linear light, ITU-R BT.2020
 * primaries, D65 (IEC 61966-2-1; Rec. ITU-R BT.2020).
 */
public final class WorkingSpace {
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();
  private static final int ROW = 4096;

  private WorkingSpace() {}

  /**
   * Linear light with sRGB primaries to the working space, in place.
   *
   * @param planes red, green, blue, all of one length; modified
   */
  public static void fromSrgb(float[][] planes) {
    int n = planes[0].length;
    float[][] row = new float[3][Math.min(ROW, n)];
    for (int at = 0; at < n; at += ROW) {
      int size = Math.min(ROW, n - at);
      for (int c = 0; c < 3; c++) {
        System.arraycopy(planes[c], at, row[c], 0, size);
      }
      for (int c = 0; c < 3; c++) {
        mix(row, TO_WORK[3 * c], TO_WORK[3 * c + 1], TO_WORK[3 * c + 2], planes[c], at, size);
      }
    }
  }

  private static void mix(float[][] in, float r, float g, float b, float[] out, int at, int size) {
    float[] red = in[0];
    float[] green = in[1];
    float[] blue = in[2];
    for (int i = 0; i < size; i++) {
      out[at + i] = r * red[i] + g * green[i] + b * blue[i];
    }
  }
}
