package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Disc;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * What a flat light sends straight to the surfaces of a view, without anything thrown back: exact
 * by geometry, through the middle of each pixel.
 *
 * @param illuminance in klx, of luminance 1 in the light's colour; less than 0 where the surface
 *     looks away from the light or the world outside is seen
 * @param hidden whether something stands between the middle of the light and the surface
 */
public record DirectLight(int width, int height, float[] illuminance, boolean[] hidden) {

  /** A surface seen by the light at a flatter angle than this counts as turned away. */
  private static final float FLAT = 0.08f;

  /** Light that a disc sends to what is seen in a picture of so many pixels. */
  public static DirectLight of(Scene scene, Disc disc, int width, int height) {
    Bvh bvh = new Bvh(scene.mesh());
    Lens lens = new Lens(scene.eye(), width, height);
    float[] illuminance = new float[width * height];
    boolean[] hidden = new boolean[width * height];
    Arrays.fill(illuminance, -1);
    IntStream.range(0, height)
        .parallel()
        .forEach(
            y -> {
              Bvh.Hit hit = new Bvh.Hit();
              float[] d = new float[3];
              for (int i = y * width; i < (y + 1) * width; i++) {
                lens.aim(i % width + 0.5, y + 0.5, d);
                if (lens.closest(bvh, d, hit)) {
                  illuminance[i] = direct(disc, hit);
                  hidden[i] = illuminance[i] > 0 && hidden(bvh, disc, hit);
                }
              }
            });
    return new DirectLight(width, height, illuminance, hidden);
  }

  private static float direct(Disc disc, Bvh.Hit hit) {
    Vec away = disc.centre().minus(Vec.of(hit.x, hit.y, hit.z));
    float d = away.length();
    Vec to = away.times(1 / d);
    float cos = to.x() * hit.nx + to.y() * hit.ny + to.z() * hit.nz;
    float sent = -to.dot(disc.normal());
    if (cos < FLAT || sent <= 0) {
      return -1;
    }
    return disc.radiance() * (float) Math.PI * disc.radius() * disc.radius() * sent * cos / (d * d);
  }

  private static boolean hidden(Bvh bvh, Disc disc, Bvh.Hit hit) {
    float x = hit.x + hit.nx * 4e-4f;
    float y = hit.y + hit.ny * 4e-4f;
    float z = hit.z + hit.nz * 4e-4f;
    Vec away = disc.centre().minus(Vec.of(x, y, z));
    Vec to = away.unit();
    // not as far as the glowing face of the light itself
    return bvh.blocked(x, y, z, to.x(), to.y(), to.z(), away.length() - 0.02f, new Bvh.Hit());
  }
}
