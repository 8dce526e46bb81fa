package illuminar.scenes.invented;

import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Rendering;
import illuminar.scenes.render.Scene;
import java.util.List;
import java.util.function.IntConsumer;

/**
 * A room or facade that chance made, rendered and photographed; the same seed makes the same view.
 *
 * @param room whether it is a room, not a facade
 * @param white whether its walls are meant to come out white
 * @param shots the first at the base exposure and without drift
 */
public record InventedView(
    boolean room, boolean white, Radiance radiance, Camera camera, List<Shot> shots) {
  /** Paths that are followed for each pixel. */
  private static final int SAMPLES = 4;

  /** Share of all views that are facades. */
  private static final double FACADES = 0.3;

  /**
   * Makes a view.
   *
   * @param width pixels across; two thirds as many down
   */
  public static InventedView of(long seed, int width, IntConsumer progress) {
    Dice dice = new Dice(seed);
    boolean room = !dice.chance(FACADES);
    boolean white = false;
    Scene scene;
    double kelvin;
    if (room) {
      InventedRoom made = new InventedRoom(dice);
      scene = made.scene();
      white = made.white();
      kelvin = dice.between(4300, 5600);
    } else {
      scene = new InventedFacade(dice).scene();
      kelvin = dice.between(5000, 5800);
    }
    Radiance radiance = Rendering.render(scene, width, width * 2 / 3, SAMPLES, progress);
    Bracket.Taken taken = new Bracket(dice, room, kelvin).of(radiance);
    return new InventedView(room, white, radiance, taken.camera(), taken.shots());
  }

  /** Light on the sensor for one shot; interleaved red, green, blue, 1 at the highest code. */
  public float[] expose(Shot shot) {
    return camera.expose(
        radiance, shot.strengths(), shot.exposure(), shot.drift(), shot.file().hashCode());
  }
}
