package illuminar.core.render;

import illuminar.core.colour.CodeTable;
import illuminar.core.colour.Primaries;
import illuminar.core.colour.Space;
import illuminar.core.colour.Transfer;
import illuminar.core.picture.Picture;
import java.util.EnumMap;
import java.util.Map;

/**
 * What finished pictures are written in: working light to the codes of a space; what lies outside
 * of it is clipped. sRGB itself has a quicker way to 8 bits, {@link Display}.
 *
 * <p>Sources: IEC 61966-2-1 (sRGB, and its curve for grey), SMPTE EG 432-1 with sRGB's curve
 * (Display P3), IEC 61966-2-5 (opRGB).
 */
public enum OutputSpace {
  SRGB("sRGB", Transfer.SRGB),
  DISPLAY_P3("Display P3", Transfer.SRGB),
  OPRGB("opRGB", Transfer.OPRGB),
  GREY("Grey", Transfer.SRGB);

  private static final Map<OutputSpace, Coder> CODERS = new EnumMap<>(OutputSpace.class);

  static {
    for (OutputSpace space : values()) {
      CODERS.put(space, new Coder(space.weights(), new CodeTable(space.transfer)));
    }
  }

  private final String title;
  private final Transfer transfer;

  OutputSpace(String title, Transfer transfer) {
    this.title = title;
    this.transfer = transfer;
  }

  /** Its name on screen and in profiles. */
  public String title() {
    return title;
  }

  /** 1 for grey, else 3. */
  public int channels() {
    return this == GREY ? 1 : 3;
  }

  /** Of its colours; grey has only their white. */
  public Primaries primaries() {
    return switch (this) {
      case DISPLAY_P3 -> Primaries.DISPLAY_P3;
      case OPRGB -> Primaries.OPRGB;
      case SRGB, GREY -> Primaries.SRGB;
    };
  }

  public Transfer transfer() {
    return transfer;
  }

  /** Interleaved 8-bit codes. */
  public byte[] codes8(Picture p) {
    if (this == SRGB) {
      return Display.to8(p);
    }
    byte[] out = new byte[p.r().length * channels()];
    CODERS.get(this).each(p, (at, code) -> out[at] = (byte) (int) (code * 255 + 0.5f));
    return out;
  }

  /** Interleaved 16-bit codes. */
  public short[] codes16(Picture p) {
    short[] out = new short[p.r().length * channels()];
    CODERS.get(this).each(p, (at, code) -> out[at] = (short) (int) (code * 65535 + 0.5f));
    return out;
  }

  /** Three weights of working light for each channel. */
  private float[] weights() {
    return this == GREY
        ? new float[] {Space.LUMA_R, Space.LUMA_G, Space.LUMA_B}
        : primaries().toXyz().inverse().after(Space.WORK_TO_XYZ).floats();
  }

  private interface Code {
    void at(int index, float code);
  }

  private record Coder(float[] weights, CodeTable table) {
    void each(Picture p, Code to) {
      float[] r = p.r();
      float[] g = p.g();
      float[] b = p.b();
      int n = weights.length / 3;
      for (int c = 0; c < n; c++) {
        float kr = weights[3 * c];
        float kg = weights[3 * c + 1];
        float kb = weights[3 * c + 2];
        for (int i = 0; i < r.length; i++) {
          to.at(i * n + c, table.code(kr * r[i] + kg * g[i] + kb * b[i]));
        }
      }
    }
  }
}
