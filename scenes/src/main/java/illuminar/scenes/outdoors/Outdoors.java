package illuminar.scenes.outdoors;

/** The world beyond the windows. Radiance in kcd/m², linear sRGB, luminance-scaled. */
public interface Outdoors {

  /**
   * Everything in detail without haze, along a ray from a point, and fourthly how much of it the
   * haze lets through; a new array of four.
   */
  float[] clear(float x, float y, float z, float dx, float dy, float dz);

  /** Rays from one point that all go the same way, seen from above. */
  interface Column {
    /** As {@link #clear} along the ray that climbs by {@code slope} for each metre outwards. */
    float[] clear(float slope);
  }

  /** Rays towards (hx, hz), a horizontal direction of length 1. */
  default Column column(float x, float y, float z, float hx, float hz) {
    return slope -> {
      float n = 1 / (float) Math.sqrt(1 + slope * slope);
      return clear(x, y, z, hx * n, slope * n, hz * n);
    };
  }

  /** The same without detail, far away, as light that comes in. */
  float[] broad(float dx, float dy, float dz);

  /** Light that haze itself sends to the eye where nothing shines through. */
  float[] air();

  /** Everything in detail, through haze; a new array of three. Source: Koschmieder's law, 1924. */
  default float[] seen(float x, float y, float z, float dx, float dy, float dz) {
    return hazed(clear(x, y, z, dx, dy, dz));
  }

  /** What is seen of something clear. */
  default float[] hazed(float[] c) {
    float[] air = air();
    float t = c[3];
    return new float[] {
      c[0] * t + air[0] * (1 - t), c[1] * t + air[1] * (1 - t), c[2] * t + air[2] * (1 - t)
    };
  }
}
