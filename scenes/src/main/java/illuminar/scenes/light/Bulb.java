package illuminar.scenes.light;

import illuminar.scenes.geometry.Vec;
import java.util.SplittableRandom;

/** A small glowing ball. Intensity in kilocandela. */
public record Bulb(int group, Vec centre, float radius, float[] colour, float intensity)
    implements Light {

  @Override
  public void sample(float x, float y, float z, SplittableRandom random, Sample out) {
    double h = 2 * random.nextDouble() - 1;
    double a = 2 * Math.PI * random.nextDouble();
    double s = Math.sqrt(1 - h * h) * radius;
    float px = (float) (centre.x() + s * Math.cos(a));
    float py = (float) (centre.y() + radius * h);
    float pz = (float) (centre.z() + s * Math.sin(a));
    float d2 = out.towards(x, y, z, px, py, pz);
    out.emit(colour, intensity / d2);
  }
}
