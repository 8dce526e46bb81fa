package illuminar.core.filter;

import illuminar.core.picture.MapRows;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * The guided filter's linear maps: near each pixel, output = slope · guide + offset. Kept apart so
 * that maps from a small grid can be used with the guide at any size.
 *
 * <p>Source: He, Sun, Tang, "Guided image filtering", 2010; He, Sun, "Fast guided filter", 2015.
 */
public record Guided(Plane slope, Plane offset) {

  /**
   * @param guide one value a pixel; not modified
   * @param input what is to follow the guide's edges; not modified; may be the guide itself
   * @param epsilon variance of the guide below which it counts as flat, in the guide's unit squared
   */
  public static Guided of(Plane guide, Plane input, int radius, float epsilon) {
    int n = guide.data().length;
    boolean self = guide.data() == input.data();
    Plane[] means =
        Box.means(
            radius,
            self
                ? new Plane[] {guide, product(guide, guide)}
                : new Plane[] {guide, product(guide, guide), input, product(guide, input)});
    Plane meanG = means[0];
    Plane meanGG = means[1];
    Plane meanP = means[self ? 0 : 2];
    Plane meanGP = means[self ? 1 : 3];
    Plane a = Plane.of(guide.width(), guide.height());
    Plane b = Plane.of(guide.width(), guide.height());
    for (int i = 0; i < n; i++) {
      float mg = meanG.data()[i];
      float mp = meanP.data()[i];
      float variance = Math.max(0, meanGG.data()[i] - mg * mg);
      a.data()[i] = (meanGP.data()[i] - mg * mp) / (variance + epsilon);
      b.data()[i] = mp - a.data()[i] * mg;
    }
    Plane[] maps = Box.means(radius, a, b);
    return new Guided(maps[0], maps[1]);
  }

  /** Value by value. */
  public static Plane product(Plane a, Plane b) {
    Plane out = Plane.of(a.width(), a.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = a.data()[i] * b.data()[i];
    }
    return out;
  }

  /**
   * The maps for part of a guide that filters itself, the same there as {@link #of} gives; 0
   * elsewhere.
   *
   * @param box left, top, right and bottom of the part, inside the guide
   */
  public static Guided within(Plane guide, int[] box, int radius, float epsilon) {
    int margin = 2 * radius + 2;
    int x0 = Math.max(0, box[0] - margin);
    int y0 = Math.max(0, box[1] - margin);
    int w = Math.min(guide.width(), box[2] + margin) - x0;
    int h = Math.min(guide.height(), box[3] + margin) - y0;
    if (w == guide.width() && h == guide.height()) {
      return of(guide, guide, radius, epsilon);
    }
    Plane part = Plane.of(w, h);
    copy(guide, x0, y0, part, 0, 0);
    Guided maps = of(part, part, radius, epsilon);
    Plane slope = Plane.of(guide.width(), guide.height());
    Plane offset = Plane.of(guide.width(), guide.height());
    copy(maps.slope, 0, 0, slope, x0, y0);
    copy(maps.offset, 0, 0, offset, x0, y0);
    return new Guided(slope, offset);
  }

  private static void copy(Plane from, int x, int y, Plane to, int toX, int toY) {
    int w = Math.min(from.width() - x, to.width() - toX);
    for (int j = 0; j < Math.min(from.height() - y, to.height() - toY); j++) {
      System.arraycopy(
          from.data(), (y + j) * from.width() + x, to.data(), (toY + j) * to.width() + toX, w);
    }
  }

  /** The filtered plane on the guide's own grid. */
  public Plane on(Plane guide) {
    Plane out = Plane.of(guide.width(), guide.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = slope.data()[i] * guide.data()[i] + offset.data()[i];
    }
    return out;
  }

  /**
   * Reads the filtered plane along the rows of any raster, by the guide at its pixels; for one
   * thread.
   *
   * @param fullWidth width of the view at full size, to which the maps belong
   */
  public Rows rows(int fullWidth, int fullHeight, Raster raster) {
    return new Rows(MapRows.of(fullWidth, fullHeight, raster, slope, offset), raster.width());
  }

  /** A reader of one raster. */
  public static final class Rows {
    private final MapRows[] maps;
    private final float[] slope;
    private final float[] offset;

    private Rows(MapRows[] maps, int width) {
      this.maps = maps;
      slope = new float[width];
      offset = new float[width];
    }

    /** Goes to a row. */
    public void to(int row) {
      maps[0].row(row, slope, 0);
      maps[1].row(row, offset, 0);
    }

    /** The value at a column for the guide's there. */
    public float at(int x, float guide) {
      return slope[x] * guide + offset[x];
    }
  }
}
