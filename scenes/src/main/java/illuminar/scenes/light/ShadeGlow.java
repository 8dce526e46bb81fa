package illuminar.scenes.light;

import illuminar.scenes.geometry.Vec;
import java.util.SplittableRandom;

/** The lit outside of a lamp shade: a cone's side, glowing evenly. Radiance in kcd/m². */
public record ShadeGlow(
    int group,
    Vec foot,
    float footRadius,
    float topRadius,
    float height,
    float[] colour,
    float radiance)
    implements Light {

  @Override
  public void sample(float x, float y, float z, SplittableRandom random, Sample out) {
    float t = (float) random.nextDouble();
    double a = 2 * Math.PI * random.nextDouble();
    float r = (footRadius + (topRadius - footRadius) * t) * 1.002f;
    float c = (float) Math.cos(a);
    float s = (float) Math.sin(a);
    float d2 = out.towards(x, y, z, foot.x() + r * c, foot.y() + height * t, foot.z() + r * s);
    float slope = (footRadius - topRadius) / height;
    float norm = 1 / (float) Math.sqrt(1 + slope * slope);
    float cos = -(out.dx * c + out.dy * slope + out.dz * s) * norm;
    if (cos <= 0) {
      out.none();
      return;
    }
    float area = (float) (2 * Math.PI * r * height / norm);
    out.emit(colour, radiance * cos * area / d2);
  }
}
