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
    Vec side = Math.abs(towards.y()) > 0.9f ? Vec.of(1, 0, 0) : Vec.of(0, 1, 0);
    Vec u = towards.cross(side).unit();
    Vec v = towards.cross(u);
    double r = HALF * Math.sqrt(random.nextDouble());
    double a = 2 * Math.PI * random.nextDouble();
    Vec d = towards.plus(u.times(r * Math.cos(a))).plus(v.times(r * Math.sin(a))).unit();
    out.dx = d.x();
    out.dy = d.y();
    out.dz = d.z();
    out.far = 1e5f;
    out.emit(colour, illuminance * (float) Math.PI);
  }
}
