package illuminar.core.pass.kinds;

import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Box;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.Surroundings;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * Local contrast and fine detail, more or less of either.
 *
 * <p>Local contrast is what a tone has beyond the edge-keeping base of its surroundings ({@link
 * Surroundings}): base and detail apart (Farbman, Fattal, Lischinski, Szeliski 2008; base by the
 * guided filter), so there is no halo along roofs and windows. Fine detail is what it has beyond
 * the mean of its nearest pixels (unsharp mask, common practice). Both level out where they are
 * large, so that edges are not overdone.
 *
 * @param contrast of what is as large as a piece of furniture
 * @param fine of texture
 */
@Kind(
    id = "detail",
    name = "Detail",
    stage = Stage.FINISH,
    help = "Crisper or softer; needs a place",
    sentence = "Change the detail of {region}:",
    says = {"local contrast {contrast:higher|lower}", "{fine:more|less} fine detail"},
    asksRegion = true)
public record Detail(
    @Control(
            label = "Local contrast",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 20,
            neutral = 0,
            help = "Below 0 softens")
        double contrast,
    @Control(
            label = "Fine detail",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Below 0 softens; look at 1:1")
        double fine)
    implements Move {

  /** Detail of so many stops counts half. */
  private static final float LARGE = 1.2f;

  /** Pixels at full size within which detail is fine. */
  private static final double NEAR = 2;

  public Detail {
    Numbers.check(Detail.class, "contrast", contrast);
    Numbers.check(Detail.class, "fine", fine);
  }

  /** Detail in stops, levelled out where it is large. */
  static float soft(float d) {
    float x = d * (1 / LARGE);
    return d / (1 + x * x);
  }

  /** Finds the base of the picture below. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(this, Surroundings.of(below, 0.035, 0.25f));
  }

  private record Work(Detail detail, Surroundings surroundings) implements PreparedPass.OnLight {

    @Override
    public int margin(double scale) {
      return near(scale);
    }

    /** Pixels at a scale within which detail is fine; 0 where the pixels are too coarse for it. */
    private int near(double scale) {
      return detail.fine == 0 ? 0 : (int) Math.round(NEAR * scale);
    }

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      Guided.Rows rows = surroundings.rows(tile);
      int w = tile.raster().width();
      Plane stops = Plane.of(w, tile.raster().height());
      p.stops(0, stops.data().length, stops.data(), 0);
      int near = near(tile.raster().scale());
      Plane mean = near > 0 ? Box.mean(stops, near) : stops;
      float contrast = (float) detail.contrast / 100;
      float fine = (float) detail.fine / 100;
      tile.rows(
          p,
          (j, from, to, amount) -> {
            rows.to(j);
            int at = j * w;
            for (int x = from; x < to; x++) {
              float s = stops.data()[at + x];
              float large = contrast == 0 ? 0 : contrast * soft(s - rows.at(x, s));
              amount[x] *= large + fine * soft(s - mean.data()[at + x]);
            }
            Stops.light(amount, from, amount, from, to - from);
            p.multiply(at, amount, from, to);
          });
    }
  }
}
