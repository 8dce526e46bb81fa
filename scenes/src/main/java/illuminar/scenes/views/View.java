package illuminar.scenes.views;

import illuminar.core.frame.Similarity;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Moved;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Scene;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * One view of the demo shoot: what stands there, and how it is photographed.
 *
 * @param title as the shoot's notes name it
 * @param name of its files
 * @param samples paths that are followed for each pixel
 * @param moved what stands elsewhere in some frames
 */
public record View(
    String title,
    String name,
    Supplier<Scene> scene,
    int samples,
    Optional<Moved> moved,
    Camera camera,
    List<Shot> shots) {

  /** Light on the sensor for one shot; interleaved red, green, blue, 1 at the highest code. */
  public float[] expose(Radiance still, Optional<Radiance> other, Shot shot) {
    Radiance seen = shot.moved() ? other.orElseThrow() : still;
    // drift is given at 2400 pixels wide; smaller renderings drift in proportion
    Similarity drift = shot.drift().sized(seen.width() / 2400.0);
    long seed = shot.file().hashCode() * 31L + 17;
    return camera.expose(seen, shot.strengths(), shot.exposure(), drift, seed);
  }
}
