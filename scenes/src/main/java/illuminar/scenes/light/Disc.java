package illuminar.scenes.light;

import illuminar.scenes.geometry.Vec;
import java.util.SplittableRandom;

/** A flat round source such as a flash umbrella, shining to one side. Radiance in kcd/m². */
public record Disc(int group, Vec centre, Vec normal, float radius, float[] colour, float radiance)
    implements Light {

  @Override
  public void sample(float x, float y, float z, SplittableRandom random, Sample out) {
    Vec p = centre.onDisc(normal, radius, random.nextDouble(), random.nextDouble());
    float d2 = out.towards(x, y, z, p.x(), p.y(), p.z());
    float cos = -(out.dx * normal.x() + out.dy * normal.y() + out.dz * normal.z());
    if (cos <= 0) {
      out.none();
      return;
    }
    out.emit(colour, radiance * cos * (float) (Math.PI * radius * radius) / d2);
  }
}
