package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.geometry.Projection;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.Tones;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;

/**
 * Darker towards the edges of the finished picture, whatever is cut from it, away from the subject.
 *
 * <p>One gain in stops from the distance to the centre, 1 at the corner that is farthest from it:
 * nothing up to where it begins, all at that corner, an S between. Common practice; the curve is
 * our own. Lines of equal gain are ellipses of the picture's shape, or circles.
 *
 * @param amount stops by which the farthest corner is darker
 * @param softness share of the distance over which it grows
 * @param roundness 0 for the picture's shape, 1 for circles
 * @param across place of the centre in the view, share of its width
 * @param down share of its height
 */
@Kind(
    id = "vignette",
    name = "Vignette",
    stage = Stage.FINISH,
    help = "Darker towards the edges, so that the eye stays with the subject",
    sentence = "{amount?Darken|Lighten} {region} towards its corners by {amount}",
    framed = true)
public record Vignette(
    @Control(
            label = "Darker corners",
            unit = "st",
            from = -0.5,
            to = 2,
            step = 0.01,
            defaultValue = 0.3,
            neutral = 0,
            help = "Below 0 lightens, which looks like a fault of the lens")
        double amount,
    @Control(
            label = "Softness",
            unit = "%",
            from = 0.2,
            to = 1,
            step = 0.01,
            defaultValue = 0.8,
            help = "How far it comes in; at 100 % up to its centre")
        double softness,
    @Control(
            label = "Roundness",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0,
            help = "0 follows the picture's shape; 100 % is a circle")
        double roundness,
    @Control(
            label = "Centre across",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.001,
            defaultValue = 0.5,
            help = "The subject; drag the square on the picture")
        double across,
    @Control(label = "Centre down", unit = "%", from = 0, to = 1, step = 0.001, defaultValue = 0.5)
        double down)
    implements Move {

  public Vignette {
    Numbers.check(Vignette.class, "amount", amount);
    Numbers.check(Vignette.class, "softness", softness);
    Numbers.check(Vignette.class, "roundness", roundness);
    Numbers.check(Vignette.class, "across", across);
    Numbers.check(Vignette.class, "down", down);
  }

  /** Distances from the centre in the plane of the finished picture. */
  private record Reach(Point centre, double wide, double high, double farthest) {

    static Reach of(Vignette v, Projection finished, double viewWide, double viewHigh) {
      Point centre = finished.toPlane(new Point(v.across * viewWide, v.down * viewHigh));
      double edge = finished.longEdge();
      double width = finished.width() / edge;
      double height = finished.height() / edge;
      double round = Math.sqrt(width * height);
      double wide = Math.pow(width, 1 - v.roundness) * Math.pow(round, v.roundness);
      double high = Math.pow(height, 1 - v.roundness) * Math.pow(round, v.roundness);
      double x =
          Math.max(centre.x() - finished.left(), finished.left() + width - centre.x()) / wide;
      double y = Math.max(centre.y() - finished.top(), finished.top() + height - centre.y()) / high;
      return new Reach(centre, wide, high, Math.hypot(x, y));
    }

    /** 0 at the centre, 1 at the farthest corner. */
    double at(Point plane) {
      return Math.hypot((plane.x() - centre.x()) / wide, (plane.y() - centre.y()) / high)
          / farthest;
    }
  }

  /** Draws the gain over the small grid. */
  @Override
  public PreparedPass prepare(PassInput below) {
    Raster grid = below.raster();
    int width = below.analysis().fullWidth();
    int height = below.analysis().fullHeight();
    double edge = Math.max(width, height);
    Projection finished = below.finished();
    Reach reach = Reach.of(this, finished, width / edge, height / edge);
    Plane gain = Plane.of(grid.width(), grid.height());
    for (int j = 0; j < grid.height(); j++) {
      for (int i = 0; i < grid.width(); i++) {
        Point place =
            new Point(
                (i + 0.5) / grid.width() * width / edge, (j + 0.5) / grid.height() * height / edge);
        double d = reach.at(finished.toPlane(place));
        gain.data()[j * grid.width() + i] =
            (float) (-amount * Ease.between((d - 1 + softness) / softness));
      }
    }
    return new Work(gain, width, height);
  }

  /**
   * @param gain stops, of the whole view
   */
  private record Work(Plane gain, int fullWidth, int fullHeight) implements PreparedPass.OnTones {

    @Override
    public void apply(Tile tile, Tones tones, int start) {
      MapRows map = MapRows.of(fullWidth, fullHeight, tile.raster(), gain)[0];
      float[] row = new float[tile.raster().width()];
      for (int j = 0; j < tile.raster().height(); j++) {
        map.row(j, row, 0);
        tones.add(row, tile, j, start + j * row.length);
      }
    }
  }
}
