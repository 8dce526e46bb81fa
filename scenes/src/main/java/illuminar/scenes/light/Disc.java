package illuminar.scenes.light;

import illuminar.scenes.geometry.Vec;
import java.util.SplittableRandom;

/** A flat round source such as a flash umbrella, shining to one side. Radiance in kcd/m². */
public record Disc(int group, Vec centre, Vec normal, float radius, float[] colour, float radiance)
    implements Light {

  @Override
  public void sample(float x, float y, float z, SplittableRandom random, Sample out) {
    Vec side = Math.abs(normal.y()) > 0.9f ? Vec.of(1, 0, 0) : Vec.of(0, 1, 0);
    Vec u = normal.cross(side).unit();
    Vec v = normal.cross(u);
    double r = radius * Math.sqrt(random.nextDouble());
    double a = 2 * Math.PI * random.nextDouble();
    Vec p = centre.plus(u.times(r * Math.cos(a))).plus(v.times(r * Math.sin(a)));
    float d2 = out.towards(x, y, z, p.x(), p.y(), p.z());
    float cos = -(out.dx * normal.x() + out.dy * normal.y() + out.dz * normal.z());
    if (cos <= 0) {
      out.none();
      return;
    }
    out.emit(colour, radiance * cos * (float) (Math.PI * radius * radius) / d2);
  }
}
