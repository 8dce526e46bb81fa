package illuminar.scenes.light;

import illuminar.scenes.geometry.Vec;
import illuminar.scenes.outdoors.Outdoors;
import java.util.SplittableRandom;

/**
 * A flat four-cornered source that shines to one side, along u × v: a window opening through which
 * the world outside shines in, or a lit pane.
 */
public record Panel(int group, Vec corner, Vec u, Vec v, Emission emission) implements Light {

  /** Radiance in kcd/m² that comes out of a direction towards the source; three values. */
  public interface Emission {
    float[] from(float dx, float dy, float dz);
  }

  /** An opening through which the world outside shines. */
  public static Panel opening(int group, Vec corner, Vec u, Vec v, Outdoors outdoors) {
    return new Panel(group, corner, u, v, outdoors::broad);
  }

  /** Evenly bright from all sides. */
  public static Panel lit(int group, Vec corner, Vec u, Vec v, float[] colour, double radiance) {
    float[] l = new float[3];
    for (int c = 0; c < 3; c++) {
      l[c] = (float) (colour[c] * radiance);
    }
    return new Panel(group, corner, u, v, (dx, dy, dz) -> l);
  }

  @Override
  public void sample(float x, float y, float z, SplittableRandom random, Sample out) {
    float a = (float) random.nextDouble();
    float b = (float) random.nextDouble();
    float d2 =
        out.towards(
            x,
            y,
            z,
            corner.x() + a * u.x() + b * v.x(),
            corner.y() + a * u.y() + b * v.y(),
            corner.z() + a * u.z() + b * v.z());
    Vec across = u.cross(v);
    float facing = -(out.dx * across.x() + out.dy * across.y() + out.dz * across.z());
    if (facing <= 1e-5f) {
      out.none();
      return;
    }
    // the cross product's length is the panel's area
    out.emit(emission.from(out.dx, out.dy, out.dz), facing / d2);
  }
}
