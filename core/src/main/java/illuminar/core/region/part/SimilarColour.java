package illuminar.core.region.part;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.Grow;
import illuminar.core.region.Look;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * What has nearly the colour of one place.
 *
 * <p>What has nearly the colour of one place, measured as CIE 1976 difference. Pixels that touch
 * are found on the analysis grid by filling from that place, four neighbours to a pixel.
 *
 * @param tolerance CIE 1976 colour difference to which it reaches, 0.5 to 100
 * @param softness share of the tolerance over which it fades, 0 to 1
 * @param connected whether it must be connected with that place
 */
@PartKind(id = "similar-colour", name = "Similar colour")
public record SimilarColour(
    Look look,
    Point at,
    @Control(
            label = "Tolerance",
            unit = "",
            from = 0.5,
            to = 100,
            step = 0.5,
            defaultValue = 12,
            help = "Colour difference to which it reaches")
        double tolerance,
    @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, defaultValue = 0.3)
        double softness,
    boolean connected)
    implements Shape {
  public SimilarColour {
    Numbers.check(SimilarColour.class, "tolerance", tolerance);
    Numbers.check(SimilarColour.class, "softness", softness);
    if (look.from() == Look.From.BELOW) {
      throw new IllegalArgumentException("similar colour looks at the ground or at a frame");
    }
  }

  @Override
  public boolean needsGround() {
    return look.from() == Look.From.GROUND;
  }

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new SimilarColour(look, to.apply(at), tolerance, softness, connected);
  }

  @Override
  public Shape foundIn(UnaryOperator<String> frames) {
    return new SimilarColour(look.at(frames), at, tolerance, softness, connected);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, in, sources);
  }

  private static float[] draw(SimilarColour similar, Raster raster, Territory in, Sources sources) {
    LabPlanes all = sources.lookAtAll(similar.look(), in);
    int longEdge = Math.max(all.width(), all.height());
    int x = (int) Math.max(0, Math.min(all.width() - 1, similar.at().x() * longEdge));
    int y = (int) Math.max(0, Math.min(all.height() - 1, similar.at().y() * longEdge));
    float[] seed = all.mean(x + 0.5, y + 0.5);
    LabPlanes here = LabPlanes.of(sources.look(similar.look(), in, raster));
    float[] out = new float[raster.pixels()];
    for (int i = 0; i < out.length; i++) {
      float apart = here.difference(i, seed[0], seed[1], seed[2]);
      out[i] = Ease.within(apart / similar.tolerance(), similar.softness());
    }
    if (similar.connected()) {
      Plane reached =
          sources.keep(
              List.of("filled", similar, in.ground()),
              Plane.class,
              all.l().length * 4L,
              () ->
                  widened(
                      filled(all, x, y, seed, (float) similar.tolerance()),
                      all.width(),
                      all.height()));
      float[] share = sources.spread(reached, raster);
      for (int i = 0; i < out.length; i++) {
        out[i] *= share[i];
      }
    }
    return out;
  }

  /** All pixels alike that touch a seed or each other, four neighbours to a pixel. */
  static boolean[] filled(LabPlanes p, int x, int y, float[] seed, float tolerance) {
    boolean[] in = new boolean[p.width() * p.height()];
    FloodFill.of(
        y * p.width() + x,
        p.width(),
        p.height(),
        false,
        in,
        (from, to) -> p.difference(to, seed[0], seed[1], seed[2]) <= tolerance);
    return in;
  }

  /** The same and one pixel round it, whose edges the raster draws more finely. */
  private static Plane widened(boolean[] in, int w, int h) {
    float[] share = new float[w * h];
    for (int i = 0; i < share.length; i++) {
      share[i] = in[i] ? 1 : 0;
    }
    Raster grid = new Raster(1, 0, 0, w, h);
    return new Plane(w, h, Grow.by(share, grid, grid, 1, true));
  }
}
