package illuminar.scenes.light;

import illuminar.scenes.outdoors.Outdoors;
import java.util.SplittableRandom;

/** A window opening in a plane z = const through which the world outside shines into +z. */
public record Opening(int group, float x0, float x1, float y0, float y1, float z, Outdoors outdoors)
    implements Light {

  @Override
  public void sample(float x, float y, float zz, SplittableRandom random, Sample out) {
    float px = x0 + (x1 - x0) * (float) random.nextDouble();
    float py = y0 + (y1 - y0) * (float) random.nextDouble();
    float d2 = out.towards(x, y, zz, px, py, z);
    float cos = -out.dz;
    if (cos <= 1e-4f) {
      out.none();
      return;
    }
    float scale = cos * (x1 - x0) * (y1 - y0) / d2;
    float[] l = outdoors.broad(out.dx, out.dy, out.dz);
    out.emit(l, scale);
  }
}
