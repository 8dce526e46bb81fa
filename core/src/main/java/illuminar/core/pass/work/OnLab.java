package illuminar.core.pass.work;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;

/** A pass that works on CIE 1976 L*a*b* (D50) of each pixel. */
public record OnLab(Change change) implements PreparedPass.OnLight {
  private static final float BEND = 216f / 24389;
  private static final float STEEP = 24389f / 27;
  private static final float[] TO_XYZ = Space.WORK_TO_XYZ_D50.floats();
  private static final float[] TO_WORK = Space.WORK_TO_XYZ_D50.inverse().floats();
  private static final float WHITE_X = (float) Space.D50_X;
  private static final float WHITE_Z = (float) Space.D50_Z;

  /** Changes one colour in place. */
  public interface Change {
    /**
     * @param lab L*, a*, b*
     */
    void to(float[] lab);
  }

  /** The cube root between {@link #BEND} and {@link #TOP}, straight between its entries. */
  private static final float[] ROOT = root();

  private static final float TOP = 1.25f;
  private static final int ENTRIES = 8192;

  private static float[] root() {
    float[] table = new float[ENTRIES + 2];
    for (int i = 0; i < table.length; i++) {
      double t = (double) i * TOP / ENTRIES;
      table[i] = (float) (t > BEND ? Math.cbrt(t) : (STEEP * t + 16) / 116);
    }
    return table;
  }

  @Override
  public void apply(Tile tile, Picture p) {
    int w = tile.raster().width();
    float[][] xyz = new float[3][w];
    float[][] out = new float[3][w];
    float[] c = new float[3];
    tile.rows(
        p,
        (j, from, to, amount) -> {
          Matrix3.apply(TO_XYZ, p.planes(), j * w + from, xyz, from, to - from);
          for (int x = from; x < to; x++) {
            if (amount[x] > 0) {
              changed(xyz, x, c);
            }
          }
          Matrix3.apply(TO_WORK, xyz, from, out, from, to - from);
          p.mix(j * w, out, amount, from, to);
        });
  }

  /** Changes the colour at a column of three rows of X, Y, Z. */
  private void changed(float[][] xyz, int x, float[] lab) {
    float fx = f(xyz[0][x] * (1 / WHITE_X));
    float fy = f(xyz[1][x]);
    float fz = f(xyz[2][x] * (1 / WHITE_Z));
    lab[0] = 116 * fy - 16;
    lab[1] = 500 * (fx - fy);
    lab[2] = 200 * (fy - fz);
    change.to(lab);
    fy = (lab[0] + 16) / 116;
    xyz[0][x] = WHITE_X * back(fy + lab[1] / 500);
    xyz[1][x] = back(fy);
    xyz[2][x] = WHITE_Z * back(fy - lab[2] / 200);
  }

  private static float f(float t) {
    if (t <= BEND) {
      return (STEEP * t + 16) / 116;
    }
    if (t >= TOP) {
      return Stops.light(Stops.of(t) * (1 / 3f));
    }
    float at = t * (ENTRIES / TOP);
    int i = (int) at;
    return ROOT[i] + (ROOT[i + 1] - ROOT[i]) * (at - i);
  }

  private static float back(float f) {
    float cube = f * f * f;
    return cube > BEND ? cube : (116 * f - 16) / STEEP;
  }
}
