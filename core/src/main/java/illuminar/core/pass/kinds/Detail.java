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
 * Local contrast, medium and fine detail, more or less of each.
 *
 * <p>A tone is parted into an edge-keeping base and layers of detail of three scales (Farbman,
 * Fattal, Lischinski, Szeliski 2008; bases by the guided filter, see {@link Surroundings}), so
 * there is no halo along roofs and windows: local contrast is what the base of the near
 * surroundings has beyond that of the wide ones; medium detail what the mean of the nearest pixels
 * has beyond the near surroundings; fine detail what a pixel has beyond that mean. Each levels out
 * where it is large, so that edges are not overdone.
 *
 * @param contrast of what is as large as a piece of furniture
 * @param medium of what is as large as a hand: mouldings, folds, leaves
 * @param fine of texture
 */
@Kind(
    id = "detail",
    name = "Detail",
    stage = Stage.FINISH,
    help = "Crisper or softer by size: large, medium, fine; needs a place",
    sentence = "Change the detail of {region}:",
    says = {
      "local contrast {contrast:higher|lower}",
      "{medium:more|less} medium detail",
      "{fine:more|less} fine detail"
    },
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
            label = "Medium detail",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Mouldings, folds, leaves; below 0 softens")
        double medium,
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

  /** Shares of the long edge that are the near and the wide surroundings. */
  private static final double MEDIUM = 0.01;

  private static final double WIDE = 0.035;

  public Detail {
    Numbers.check(Detail.class, "contrast", contrast);
    Numbers.check(Detail.class, "medium", medium);
    Numbers.check(Detail.class, "fine", fine);
  }

  /** Detail in stops, levelled out where it is large. */
  static float soft(float d) {
    float x = d * (1 / LARGE);
    return d / (1 + x * x);
  }

  /** Finds the bases of the picture below. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(
        this, Surroundings.of(below, WIDE, 0.25f), Surroundings.of(below, MEDIUM, 0.25f));
  }

  private record Work(Detail detail, Surroundings wide, Surroundings medium)
      implements PreparedPass.OnLight {

    @Override
    public int margin(double scale) {
      return near(scale);
    }

    /** Pixels at a scale within which detail is fine; 0 where the pixels are too coarse for it. */
    private int near(double scale) {
      return detail.fine == detail.medium ? 0 : (int) Math.round(NEAR * scale);
    }

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      Guided.Rows wide = this.wide.rows(tile);
      Guided.Rows medium = this.medium.rows(tile);
      int w = tile.raster().width();
      Plane stops = Plane.of(w, tile.raster().height());
      p.stops(0, stops.data().length, stops.data(), 0);
      int near = near(tile.raster().scale());
      Plane mean = near > 0 ? Box.mean(stops, near) : stops;
      float contrast = (float) detail.contrast / 100;
      float middle = (float) detail.medium / 100;
      float fine = (float) detail.fine / 100;
      tile.rows(
          p,
          (j, from, to, amount) -> {
            wide.to(j);
            medium.to(j);
            int at = j * w;
            for (int x = from; x < to; x++) {
              float s = stops.data()[at + x];
              float average = mean.data()[at + x];
              float base = medium.at(x, s);
              amount[x] *=
                  contrast * soft(base - wide.at(x, s))
                      + middle * soft(average - base)
                      + fine * soft(s - average);
            }
            Stops.light(amount, from, amount, from, to - from);
            p.multiply(at, amount, from, to);
          });
    }
  }
}
