package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Box;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.Tones;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * Flattens the fall-off of light, or a flash's hot spot, along one surface.
 *
 * <p>The tone of the surface is smoothed within the region alone (normalised convolution, Knutsson
 * and Westin 1993); what stands apart from it, such as a picture on a wall, is left out in a second
 * round. The gain that brings the smooth tone to its mean changes slowly, so texture and modelling
 * stay.
 *
 * @param amount share of the fall-off that is taken out, 0 to 1
 * @param reach how far the light is smoothed, share of the view's long edge
 */
@Kind(
    id = "even-out",
    name = "Even out",
    stage = Stage.BALANCE,
    help = "A wall that is bright at one end and dark at the other; needs a place",
    sentence = "Even out the light along {region} by {amount}",
    asksRegion = true)
public record EvenOut(
    @Control(
            label = "Amount",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.8,
            neutral = 0)
        double amount,
    @Control(
            label = "Reach",
            unit = "%",
            from = 0.01,
            to = 0.3,
            step = 0.005,
            defaultValue = 0.05,
            help = "Light that changes over less than this stays")
        double reach)
    implements Move {

  /** Stops from the smooth tone at which a place counts half as part of the surface. */
  private static final float APART = 0.7f;

  /** Half the wide window's side, in sigmas: as wide as a Gaussian of four times the sigma. */
  private static final double WIDE = 4 * Math.sqrt(3);

  public EvenOut {
    Numbers.check(EvenOut.class, "amount", amount);
    Numbers.check(EvenOut.class, "reach", reach);
  }

  /** Finds the surface's smooth tone. */
  @Override
  public PreparedPass prepare(PassInput below) {
    Plane stops = below.stops();
    int w = stops.width();
    int h = stops.height();
    double sigma = reach * Math.max(w, h);
    float[] region = below.region().copy();
    float[] weight = region.clone();
    Plane smooth = smooth(stops, weight, sigma);
    for (int i = 0; i < weight.length; i++) {
      float d = (stops.data()[i] - smooth.data()[i]) / APART;
      weight[i] = region[i] / (1 + d * d * d * d);
    }
    smooth = smooth(stops, weight, sigma);
    double sum = 0;
    double all = 1e-9;
    for (int i = 0; i < weight.length; i++) {
      sum += weight[i] * smooth.data()[i];
      all += weight[i];
    }
    Plane gain = Plane.of(w, h);
    for (int i = 0; i < weight.length; i++) {
      gain.data()[i] = (float) (amount * (sum / all - smooth.data()[i]));
    }
    return new Work(gain, below.analysis().fullWidth(), below.analysis().fullHeight());
  }

  /** Weighted smoothing; beyond the weights it goes on with what is nearest. */
  private static Plane smooth(Plane in, float[] weight, double sigma) {
    Plane weights = new Plane(in.width(), in.height(), weight);
    Plane top = Guided.product(in, weights);
    Plane[] narrow = Gauss.smooth(sigma, top, weights);
    Plane sum = narrow[0];
    Plane all = narrow[1];
    // a wide window stands in where the narrow one sees nothing of the surface
    Plane[] wides = Box.means((int) Math.ceil(WIDE * sigma), top, weights);
    for (int i = 0; i < weight.length; i++) {
      float wide = wides[0].data()[i] / Math.max(1e-6f, wides[1].data()[i]);
      sum.data()[i] = (sum.data()[i] + 1e-3f * wide) / (all.data()[i] + 1e-3f);
    }
    return sum;
  }

  private record Work(Plane gain, int fullWidth, int fullHeight) implements PreparedPass.OnTones {

    @Override
    public void apply(Tile tile, Tones tones, int start) {
      Raster raster = tile.raster();
      int w = raster.width();
      MapRows map = MapRows.of(fullWidth, fullHeight, raster, gain)[0];
      float[] row = new float[w];
      for (int j = 0; j < raster.height(); j++) {
        int from = tile.region().from(j);
        int to = tile.region().to(j);
        if (from >= to) {
          continue;
        }
        map.row(j, from, to, row, 0);
        tones.add(row, tile, j, start + j * w);
      }
    }
  }
}
