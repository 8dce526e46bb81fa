package illuminar.core.region.part;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.colour.Space;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.Grow;
import illuminar.core.region.PartKind;
import illuminar.core.region.RegionWork;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * One window, clicked into or boxed by hand: its glazed opening ({@link Openings#in}), less what
 * stands before the glass. Where something as dark as the wall stands within {@value #BESIDE}
 * pixels of the view, a pixel's share is how far its light lies between the two (a mixture of two
 * lights, as in matting: Porter and Duff 1984); elsewhere in the opening all but what is as dark as
 * the wall counts.
 *
 * @param from a corner of the box; the same as {@code to} for a click
 * @param before share of what stands before the glass that is left out, 0 to 1
 * @param grow pixels at full size by which the opening is widened, −40 to 40
 * @param softness pixels at full size over which the opening's edge fades, half of it outside
 */
@PartKind(id = "hand-window", name = "Window")
public record HandWindow(
    Point from,
    Point to,
    @Control(
            label = "Leave out what is in front",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "Bars, leaves and lamps in front of the glass; at 0 % they belong to the window")
        double before,
    @Control(label = "Grow", unit = "px", from = -40, to = 40, step = 1, defaultValue = 0)
        double grow,
    @Control(label = "Softness", unit = "px", from = 0, to = 60, step = 1, defaultValue = 3)
        double softness)
    implements Shape {
  private static final int BESIDE = 3;

  /** Light over the wall's up to which a thing before the glass may be lit. */
  private static final float THING = 1.35f;

  /** Share of the brightest beside it from which on light is wholly the view's. */
  private static final float WHOLE = 0.8f;

  /** Light over the wall's above which no difference is made. */
  private static final float MOST = 64;

  public HandWindow {
    Numbers.check(HandWindow.class, "before", before);
    Numbers.check(HandWindow.class, "grow", grow);
    Numbers.check(HandWindow.class, "softness", softness);
  }

  /** What an opening is kept under. */
  private record Box(Point from, Point to) {}

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new HandWindow(to.apply(from), to.apply(this.to), before, grow, softness);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    Analysis analysis = sources.analysis();
    Opening opening =
        sources.keep(new Box(from, to), Opening.class, 200, () -> opening(analysis, sources));
    float[] out = Glazing.share(List.of(opening), analysis, raster, grow, softness);
    if (before > 0 && !empty(out)) {
      withoutThings(out, opening, raster, in, sources);
    }
    return out;
  }

  private static boolean empty(float[] share) {
    for (float v : share) {
      if (v > 0) {
        return false;
      }
    }
    return true;
  }

  private Opening opening(Analysis analysis, Sources sources) {
    double k = sources.longEdge() * (double) analysis.raster().width() / analysis.fullWidth();
    return Openings.in(
        analysis,
        k * Math.min(from.x(), to.x()),
        k * Math.min(from.y(), to.y()),
        k * Math.max(from.x(), to.x()),
        k * Math.max(from.y(), to.y()));
  }

  /** Takes things before the glass out of what is drawn. */
  private void withoutThings(
      float[] out, Opening opening, Raster raster, Territory in, Sources sources) {
    int by = Math.max(1, (int) Math.round(BESIDE * raster.scale()));
    Raster wide = sources.grown(in, raster, by);
    Picture p = MergedLight.of(sources.analysis()).draw(wide, id -> sources.frame(id, wide));
    float[] light = new float[wide.pixels()];
    for (int i = 0; i < light.length; i++) {
      // bounded, as the widening of masks is: what is brighter is view in any case
      float over = Space.srgbLuminance(p.r()[i], p.g()[i], p.b()[i]) / opening.wall();
      light[i] = Math.min(1, over / MOST);
    }
    float[] most = Grow.by(light, wide, raster, by, true);
    float[] least = Grow.by(light, wide, raster, by, false);
    float[] here = RegionWork.cut(light, wide, raster);
    for (int i = 0; i < out.length; i++) {
      float seen = view(here[i] * MOST, least[i] * MOST, most[i] * MOST);
      out[i] *= (float) (1 - before * (1 - seen));
    }
  }

  /**
   * How much of a pixel is view.
   *
   * @param light over the wall's; {@code least} and {@code most} within {@value #BESIDE} pixels
   */
  static float view(float light, float least, float most) {
    float clear = Ease.between((light - 1) / (THING - 1));
    if (least > THING) {
      return clear;
    }
    float whole = WHOLE * most;
    return whole <= THING ? clear : Math.max(0, Math.min(1, (light - 1) / (whole - 1)));
  }
}
