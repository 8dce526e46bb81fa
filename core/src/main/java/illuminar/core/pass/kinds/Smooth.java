package illuminar.core.pass.kinds;

import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * Calms a sky or water: what is small and slight goes, edges stay.
 *
 * <p>Guided filter (He, Sun, Tang 2010) of the tone in stops by itself, and of the share that red
 * and blue have in the light by the tone and by themselves, so that blotches of colour go with
 * those of tone and no colour runs over an edge.
 *
 * @param reach radius, share of the long edge
 * @param kept steps of so many stops, and more, are edges
 */
@Kind(
    id = "smooth",
    name = "Smooth",
    stage = Stage.FINISH,
    help = "A calm sky or water; edges stay; needs a place",
    sentence = "Smooth {region} within {reach} of the long edge, edges of {kept} kept",
    asksRegion = true)
public record Smooth(
    @Control(
            label = "Reach",
            unit = "%",
            from = 0.001,
            to = 0.02,
            step = 0.001,
            defaultValue = 0.004,
            help = "Of the long edge: ripples as wide as this go")
        double reach,
    @Control(
            label = "Edges kept",
            unit = "st",
            from = 0.05,
            to = 1,
            step = 0.01,
            defaultValue = 0.2,
            help = "Steps of so much and more stay")
        double kept)
    implements Move {

  /** What a step in the share of a channel is beside one of tone, stops. */
  private static final float OF_SHARE = 0.7f;

  public Smooth {
    Numbers.check(Smooth.class, "reach", reach);
    Numbers.check(Smooth.class, "kept", kept);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(this, Math.max(below.analysis().fullWidth(), below.analysis().fullHeight()));
  }

  private record Work(Smooth smooth, int longEdge) implements PreparedPass.OnLight {

    private int radius(double scale) {
      return (int) Math.round(smooth.reach * longEdge * scale);
    }

    /** The filter looks so far twice. */
    @Override
    public int margin(double scale) {
      return 2 * radius(scale);
    }

    @Override
    public void apply(Tile tile, Picture p) {
      int radius = radius(tile.raster().scale());
      if (tile.empty() || radius == 0) {
        return;
      }
      int w = p.width();
      Plane stops = Plane.of(w, p.height());
      p.stops(0, stops.data().length, stops.data(), 0);
      float flat = (float) (smooth.kept * smooth.kept) / 4;
      Plane base = Guided.of(stops, stops, radius, flat).on(stops);
      Plane[] shares = {share(p, p.r()), share(p, p.b())};
      for (int c = 0; c < 2; c++) {
        shares[c] =
            Guided.of(shares[c], shares[c], radius, flat * OF_SHARE * OF_SHARE).on(shares[c]);
      }
      float[][] colours = new float[3][w];
      tile.rows(
          p,
          (j, from, to, amount) -> {
            for (int x = from; x < to; x++) {
              int i = j * w + x;
              float y = Stops.light(base.data()[i]);
              float r = shares[0].data()[i] * y;
              float b = shares[1].data()[i] * y;
              colours[0][x] = r;
              colours[1][x] = Space.green(y, r, b);
              colours[2][x] = b;
              if (p.luminanceAt(i) <= 0) {
                amount[x] = 0;
              }
            }
            p.mix(j * w, colours, amount, from, to);
          });
    }

    /** What a channel is of the luminance. */
    private static Plane share(Picture p, float[] channel) {
      Plane out = Plane.of(p.width(), p.height());
      for (int i = 0; i < channel.length; i++) {
        float y = p.luminanceAt(i);
        out.data()[i] = y > 0 ? channel[i] / y : 1;
      }
      return out;
    }
  }
}
