package illuminar.core.frame;

import java.util.function.DoubleUnaryOperator;

/**
 * A curve over [0, 1] as a table that is quick to read: its steps run over the bits of a float from
 * 2⁻¹⁴ to 1, 256 to each doubling, straight between them and below. Beyond 1 it stays at its last
 * value; below 0, where channels of colours lie that sRGB cannot show, it is turned round its value
 * at 0.
 */
public final class Curve {
  private static final int SHIFT = 15;
  private static final float LEAST = 0x1p-14f;
  private static final int FIRST = Float.floatToRawIntBits(LEAST) >> SHIFT;
  private static final int ENTRIES = (Float.floatToRawIntBits(1f) >> SHIFT) - FIRST + 1;

  private final float[] table;

  private Curve(float[] table) {
    this.table = table;
  }

  static Curve of(DoubleUnaryOperator curve) {
    float[] t = new float[ENTRIES + 1];
    t[0] = (float) curve.applyAsDouble(0);
    for (int i = 0; i < ENTRIES; i++) {
      t[i + 1] = (float) curve.applyAsDouble(Float.intBitsToFloat(FIRST + i << SHIFT));
    }
    return new Curve(t);
  }

  /** The value at {@code x}. */
  public float at(float x) {
    float[] t = table;
    if (x >= 1) {
      return t[ENTRIES];
    }
    if (!(x >= LEAST)) {
      if (x <= -LEAST) {
        return 2 * t[0] - at(-x);
      }
      return Float.isNaN(x) ? t[0] : t[0] + (t[1] - t[0]) * (x * (1 / LEAST));
    }
    int bits = Float.floatToRawIntBits(x);
    int i = (bits >> SHIFT) - FIRST + 1;
    float low = t[i];
    return low + (t[i + 1] - low) * ((bits & (1 << SHIFT) - 1) * (1f / (1 << SHIFT)));
  }
}
