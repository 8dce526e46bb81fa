package illuminar.core.pass.kinds;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.Surroundings;
import illuminar.core.picture.Picture;

/**
 * The glow of a lamp: a warm wash, more light, and softened detail inside a soft region.
 *
 * <p>Detail is taken out towards the edge-keeping base ({@link Surroundings}); amounts are the
 * trade's (common practice, no source).
 *
 * @param light stops
 * @param warmer mired along the Planckian locus
 * @param soften share of the local contrast that is taken out
 */
@Kind(
    id = "glow",
    name = "Glow of lamps",
    stage = Stage.LIGHTS,
    help = "Lamps that look lit: brighter, warmer and softer about them; needs a place",
    sentence = "Add a glow to {region}:",
    says = {"{light:brighter|darker}", "{warmer:warmer|cooler}", "softened by {soften}"},
    asksRegion = true)
public record Glow(
    @Control(
            label = "Light",
            unit = "st",
            from = -1,
            to = 2,
            step = 0.02,
            defaultValue = 0.2,
            neutral = 0)
        double light,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 18,
            neutral = 0,
            help = "A warm wash; below 0 takes the lamp's colour out")
        double warmer,
    @Control(
            label = "Soften",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.4,
            neutral = 0)
        double soften)
    implements Move {
  public Glow {
    Numbers.check(Glow.class, "light", light);
    Numbers.check(Glow.class, "warmer", warmer);
    Numbers.check(Glow.class, "soften", soften);
  }

  /** Finds the base of the picture below. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(
        this, WhiteShift.work(warmer, 0).floats(), Surroundings.of(below, 0.022, 0.25f));
  }

  private record Work(Glow glow, float[] white, Surroundings surroundings)
      implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      Guided.Rows rows = surroundings.rows(tile);
      int w = tile.raster().width();
      float[] out = new float[3];
      float light = (float) glow.light;
      float soften = (float) glow.soften;
      tile.each(
          p,
          rows::to,
          (i, m) -> {
            float stops = Stops.of(p.luminanceAt(i));
            float k = Stops.light(m * (light + soften * (rows.at(i % w, stops) - stops)));
            Matrix3.apply(white, p.r()[i], p.g()[i], p.b()[i], out);
            p.r()[i] = k * (p.r()[i] + (out[0] - p.r()[i]) * m);
            p.g()[i] = k * (p.g()[i] + (out[1] - p.g()[i]) * m);
            p.b()[i] = k * (p.b()[i] + (out[2] - p.b()[i]) * m);
          });
    }
  }
}
