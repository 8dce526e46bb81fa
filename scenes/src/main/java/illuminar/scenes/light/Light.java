package illuminar.scenes.light;

import java.util.SplittableRandom;

/** A source that can be aimed at. Its light is kept apart from the others' by {@link #group}. */
public interface Light {

  /** The separate picture that this light goes into. */
  int group();

  /** One random point of the source as seen from (x, y, z). */
  void sample(float x, float y, float z, SplittableRandom random, Sample out);

  /**
   * Direction towards the sampled point and radiance over density, without the receiver's cosine.
   */
  final class Sample {
    public float dx;
    public float dy;
    public float dz;
    public float far;
    public float r;
    public float g;
    public float b;

    void none() {
      r = g = b = 0;
      far = 0;
    }

    /** Takes over another's values. */
    public void set(Sample o) {
      dx = o.dx;
      dy = o.dy;
      dz = o.dz;
      far = o.far;
      r = o.r;
      g = o.g;
      b = o.b;
    }

    /** Multiplies the light. */
    public void scale(float by) {
      r *= by;
      g *= by;
      b *= by;
    }

    /** Sets direction and distance; returns the squared distance. */
    float towards(float fx, float fy, float fz, float tx, float ty, float tz) {
      float x = tx - fx;
      float y = ty - fy;
      float z = tz - fz;
      float d2 = x * x + y * y + z * z;
      float d = (float) Math.sqrt(d2);
      dx = x / d;
      dy = y / d;
      dz = z / d;
      far = d * 0.9995f;
      return d2;
    }

    void emit(float[] colour, float scale) {
      r = colour[0] * scale;
      g = colour[1] * scale;
      b = colour[2] * scale;
    }
  }
}
