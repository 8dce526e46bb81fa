package illuminar.scenes.outdoors;

import static illuminar.scenes.material.Noise.fractal;
import static illuminar.scenes.material.Noise.mix;
import static illuminar.scenes.material.Noise.step;

/**
 * A sky without land: from the horizon's colour to the zenith's, with thin cloud.
 *
 * @param horizon and zenith linear sRGB in kcd/m²
 * @param cloud colour of cloud
 * @param cover how much of the sky clouds take, 0 to 1
 */
public record PlainSky(float[] horizon, float[] zenith, float[] cloud, float cover)
    implements Outdoors {

  /** Light blue at noon. */
  public static PlainSky noon() {
    return new PlainSky(
        new float[] {3.6f, 4.6f, 5.9f},
        new float[] {0.75f, 1.65f, 4.0f},
        new float[] {8.2f, 8.3f, 8.5f},
        0.45f);
  }

  /** Half an hour after sunset. */
  public static PlainSky dusk() {
    return new PlainSky(
        new float[] {0.0180f, 0.0165f, 0.0215f},
        new float[] {0.0030f, 0.0062f, 0.0165f},
        new float[] {0.0150f, 0.0120f, 0.0150f},
        0.5f);
  }

  @Override
  public float[] clear(float x, float y, float z, float dx, float dy, float dz) {
    float[] c = broad(dx, dy, dz);
    float up = Math.max(0.03f, dy + 0.04f);
    float u = dx / up * 0.5f;
    float v = dz / up * 0.5f;
    float body = fractal(u * 0.8f + 9.3f, v * 1.7f + 4.1f, 0.5f, 6);
    float t = step(0.62f - 0.2f * cover, 0.82f - 0.2f * cover, body) * step(0, 0.1f, dy) * 0.75f;
    return new float[] {mix(c[0], cloud[0], t), mix(c[1], cloud[1], t), mix(c[2], cloud[2], t), 1};
  }

  @Override
  public float[] broad(float dx, float dy, float dz) {
    if (dy < -0.02f) {
      return new float[] {horizon[0] * 0.2f, horizon[1] * 0.2f, horizon[2] * 0.15f};
    }
    float up = (float) Math.pow(Math.max(0, dy), 0.6);
    float[] c = new float[3];
    for (int k = 0; k < 3; k++) {
      c[k] = mix(horizon[k], zenith[k], up);
    }
    return c;
  }

  @Override
  public float[] air() {
    return horizon;
  }
}
