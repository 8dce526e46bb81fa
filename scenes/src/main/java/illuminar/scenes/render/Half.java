package illuminar.scenes.render;

/**
 * 16-bit floats: one sign bit, five of exponent, ten of fraction, of which the last two are left 0,
 * so that files pack well; values are true to 0.2 %. All low bytes come before all high bytes.
 * Source: IEEE 754-2008, binary16. Values beyond 65504 are held there; below 2^-22 they become 0.
 */
final class Half {
  private Half() {}

  static byte[] bytes(float[] values) {
    byte[] out = new byte[values.length * 2];
    for (int i = 0; i < values.length; i++) {
      int h = of(values[i]);
      out[i] = (byte) h;
      out[values.length + i] = (byte) (h >> 8);
    }
    return out;
  }

  static float[] floats(byte[] bytes) {
    float[] out = new float[bytes.length / 2];
    for (int i = 0; i < out.length; i++) {
      out[i] = to((bytes[i] & 255) | (bytes[out.length + i] & 255) << 8);
    }
    return out;
  }

  static int of(float value) {
    int sign = value < 0 ? 0x8000 : 0;
    float v = Math.min(65504f, Math.abs(value));
    if (v < 0x1p-14f) {
      return sign | Math.round(v * 0x1p22f) << 2;
    }
    int exponent = Math.getExponent(v);
    int fraction = Math.round((v / (float) Math.scalb(1.0, exponent) - 1) * 256) << 2;
    return sign | (((exponent + 15) << 10) + fraction);
  }

  static float to(int half) {
    int exponent = half >> 10 & 31;
    int fraction = half & 1023;
    float v =
        exponent == 0
            ? fraction * 0x1p-24f
            : (float) Math.scalb(1 + fraction / 1024.0, exponent - 15);
    return (half & 0x8000) == 0 ? v : -v;
  }
}
