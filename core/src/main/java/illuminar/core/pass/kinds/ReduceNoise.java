package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.noise.Noise;
import illuminar.core.noise.NoiseMeter;
import illuminar.core.noise.Shrinkage;
import illuminar.core.noise.Steady;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * Takes out the noise of the frames, of brightness and of colour apart, and keeps some grain.
 *
 * <p>How much there is at which light, and how it is spread over the frequencies, is measured in
 * the ground at full size ({@link NoiseMeter}), so it follows the weights of a blend. What the
 * passes between have done to the light they have done to its noise: the picture is taken back to
 * the ground's light by a smooth gain, made of steady noise ({@link Steady}), cleaned ({@link
 * Shrinkage}) and taken forth again.
 *
 * @param luminance strength on brightness; 1 for the noise as measured
 * @param colour strength on colour
 * @param grain share of the noise of brightness that stays
 */
@Kind(
    id = "reduce-noise",
    name = "Reduce noise",
    stage = Stage.FINISH,
    help = "Clean darks without smears; some grain stays; look at 1:1",
    sentence = "Reduce the noise of {region}:",
    says = {"brightness by {luminance}", "colour by {colour}", "{grain} of the grain kept"},
    tones = {0, 0, 109, 128})
public record ReduceNoise(
    @Control(
            label = "Noise of brightness",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 1,
            neutral = 0,
            help = "100 % takes what was measured; more takes fine texture too")
        double luminance,
    @Control(
            label = "Noise of colour",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 1,
            neutral = 0)
        double colour,
    @Control(
            label = "Grain kept",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.2,
            neutral = 0,
            help = "A little looks more natural than none")
        double grain)
    implements Move {

  private static final int MOST_KEPT = 3;

  /** Light that is added to both sides of a gain, so that black has one. */
  private static final float SLIGHT = 1e-4f;

  private static final float MOST_GAIN = 16;

  /** Pixels for each at full size up to which the quick way will do. */
  private static final double QUICK = 0.35;

  public ReduceNoise {
    Numbers.check(ReduceNoise.class, "luminance", luminance);
    Numbers.check(ReduceNoise.class, "colour", colour);
    Numbers.check(ReduceNoise.class, "grain", grain);
  }

  /** Measures the ground's noise, once, and what the passes below do to it. */
  @Override
  public PreparedPass prepare(PassInput below) {
    Analysis analysis = below.analysis();
    Ground ground = below.ground();
    Noise noise =
        analysis.keepLong(Noise.class, ground, MOST_KEPT, () -> measured(ground, analysis));
    Raster grid = below.raster();
    Picture lit = Grounds.draw(ground, analysis, grid, id -> analysis.draw(id, grid));
    Plane[] gain = new Plane[3];
    for (int c = 0; c < 3; c++) {
      gain[c] = gain(below.picture().channel(c), lit.channel(c), grid);
    }
    Steady steady = analysis.keep(Steady.class, ground, MOST_KEPT, () -> new Steady(noise));
    return new Work(this, noise, steady, gain, analysis.fullWidth(), analysis.fullHeight());
  }

  private static Noise measured(Ground ground, Analysis analysis) {
    analysis.frames().ready(ground.sources(), 1);
    return NoiseMeter.of(
        r -> Grounds.draw(ground, analysis, r, id -> analysis.draw(id, r)),
        analysis.fullWidth(),
        analysis.fullHeight());
  }

  private static Plane gain(float[] now, float[] then, Raster grid) {
    Plane gain = Plane.of(grid.width(), grid.height());
    for (int i = 0; i < now.length; i++) {
      float g = (Math.max(0, now[i]) + SLIGHT) / (Math.max(0, then[i]) + SLIGHT);
      gain.data()[i] = Math.max(1 / MOST_GAIN, Math.min(MOST_GAIN, g));
    }
    return gain;
  }

  private record Work(
      ReduceNoise pass, Noise noise, Steady steady, Plane[] gain, int fullWidth, int fullHeight)
      implements PreparedPass.OnLight {

    @Override
    public int margin(double scale) {
      return quick(scale) ? Shrinkage.QUICK_MARGIN : Shrinkage.MARGIN;
    }

    /** Pixels that are means of so many hold little noise, and are looked at while hands move. */
    private static boolean quick(double scale) {
      return scale <= QUICK;
    }

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      int w = p.width();
      float[] amounts = tile.amounts(p);
      boolean[] wanted = new boolean[amounts.length];
      for (int i = 0; i < amounts.length; i++) {
        wanted[i] = amounts[i] > 0;
      }
      Picture clean = clean(p, tile.raster(), wanted);
      float[] row = new float[w];
      float[][] colours = new float[3][w];
      for (int j = 0; j < p.height(); j++) {
        System.arraycopy(amounts, j * w, row, 0, w);
        for (int c = 0; c < 3; c++) {
          System.arraycopy(clean.channel(c), j * w, colours[c], 0, w);
        }
        p.mix(j * w, colours, row, 0, w);
      }
    }

    private Picture clean(Picture p, Raster raster, boolean[] wanted) {
      Picture gain = gains(raster);
      Picture own = p.copy();
      for (int c = 0; c < 3; c++) {
        divide(own.channel(c), gain.channel(c));
      }
      steady.forth(own);
      Shrinkage shrinkage =
          new Shrinkage(s -> deviations(s * raster.scale()), quick(raster.scale()));
      Picture out = shrinkage.shrunk(own, raster, wanted);
      keepGrain(own.r(), out.r());
      steady.back(out);
      for (int c = 0; c < 3; c++) {
        multiply(out.channel(c), gain.channel(c));
      }
      return out;
    }

    private float[][] deviations(double scale) {
      float[][] out = new float[3][];
      for (int plane = 0; plane < 3; plane++) {
        out[plane] = noise.spectrum(plane, scale);
        float strength = (float) (plane == 0 ? pass.luminance : pass.colour);
        for (int k = 0; k < out[plane].length; k++) {
          out[plane][k] *= strength;
        }
      }
      return out;
    }

    private void keepGrain(float[] own, float[] clean) {
      float grain = (float) pass.grain;
      for (int i = 0; i < clean.length; i++) {
        clean[i] += (own[i] - clean[i]) * grain;
      }
    }

    /** How many times lighter the passes below made each channel. */
    private Picture gains(Raster raster) {
      MapRows[] maps = MapRows.of(fullWidth, fullHeight, raster, gain);
      Picture out = Picture.of(raster.width(), raster.height());
      for (int j = 0; j < raster.height(); j++) {
        for (int c = 0; c < 3; c++) {
          maps[c].row(j, out.channel(c), j * raster.width());
        }
      }
      return out;
    }

    private static void divide(float[] values, float[] by) {
      for (int i = 0; i < values.length; i++) {
        values[i] /= by[i];
      }
    }

    private static void multiply(float[] values, float[] by) {
      for (int i = 0; i < values.length; i++) {
        values[i] *= by[i];
      }
    }
  }
}
