package illuminar.core.pass;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;

/** A pass that works on CIE 1976 L*a*b* (D50) of each pixel. */
record OnLab(Change change) implements Ready.OnLight {
  private static final float BEND = 216f / 24389;
  private static final float STEEP = 24389f / 27;
  private static final float[] TO_XYZ = Space.WORK_TO_XYZ_D50.floats();
  private static final float[] TO_WORK = Space.WORK_TO_XYZ_D50.inverse().floats();
  private static final float WHITE_X = (float) Space.D50_XYZ[0];
  private static final float WHITE_Z = (float) Space.D50_XYZ[2];

  /** Changes one colour in place. */
  interface Change {
    /**
     * @param lab L*, a*, b*
     */
    void to(float[] lab);
  }

  @Override
  public void apply(Tile tile, Picture p) {
    float[] c = new float[3];
    tile.each(
        p,
        (i, m) -> {
          Matrix3.apply(TO_XYZ, p.r()[i], p.g()[i], p.b()[i], c);
          float fx = f(c[0] / WHITE_X);
          float fy = f(c[1]);
          float fz = f(c[2] / WHITE_Z);
          c[0] = 116 * fy - 16;
          c[1] = 500 * (fx - fy);
          c[2] = 200 * (fy - fz);
          change.to(c);
          fy = (c[0] + 16) / 116;
          fx = fy + c[1] / 500;
          fz = fy - c[2] / 200;
          Matrix3.apply(TO_WORK, WHITE_X * back(fx), back(fy), WHITE_Z * back(fz), c);
          p.r()[i] += (c[0] - p.r()[i]) * m;
          p.g()[i] += (c[1] - p.g()[i]) * m;
          p.b()[i] += (c[2] - p.b()[i]) * m;
        });
  }

  private static float f(float t) {
    return t > BEND ? Stops.light(Stops.of(t) * (1 / 3f)) : (STEEP * t + 16) / 116;
  }

  private static float back(float f) {
    float cube = f * f * f;
    return cube > BEND ? cube : (116 * f - 16) / STEEP;
  }
}
