package illuminar.scenes.light;

import illuminar.scenes.geometry.Vec;
import java.util.SplittableRandom;

/**
 * The sun's disc, half a degree wide.
 *
 * @param towards direction to the sun, of length 1
 * @param illuminance on a surface that faces it, in klx / π: radiance of a white surface there
 */
public record Sun(int group, Vec towards, float[] colour, float illuminance) implements Light {
  /** Half the sun's width as a tangent. Source: astronomical constant, 0.53 degrees across. */
  private static final float HALF = 0.00465f;

  @Override
  public void sample(float x, float y, float z, SplittableRandom random, Sample out) {
    Vec d = towards.onDisc(towards, HALF, random.nextDouble(), random.nextDouble()).unit();
    out.dx = d.x();
    out.dy = d.y();
    out.dz = d.z();
    out.far = 1e5f;
    out.emit(colour, illuminance * (float) Math.PI);
  }
}
