package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Nearby;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * Sharper by the unsharp mask on lightness: what a pixel's L* has beyond the Gaussian mean about it
 * is added once more, hue and saturation held.
 *
 * <p>Unsharp mask: common practice; amount, radius and tones as photographers of interiors set them
 * (sharpened darks are sharpened noise, sharpened lights get hard rims). A pixel goes beyond the
 * lightest and the darkest about it by no more than a share of what lies between the two, so an
 * edge's halo has a limit.
 *
 * @param amount of what is added
 * @param radius standard deviation of the mean, pixels at full size
 * @param light share of it on the light side of edges
 * @param dark share of it on their dark side
 * @param limit on the halo, share of the step
 */
@Kind(
    id = "sharpen",
    name = "Sharpen",
    stage = Stage.FINISH,
    help = "Crisper midtones; darks and lights stay as they are; look at 1:1",
    sentence = "Sharpen {region} by {amount} within {radius}, halos up to {limit} of the step",
    says = {"{light} of it on light sides", "{dark} of it on dark sides"},
    asksRegion = true,
    tones = {76, 100, 160, 188})
public record Sharpen(
    @Control(
            label = "Amount",
            unit = "%",
            from = 0,
            to = 3,
            step = 0.01,
            defaultValue = 1.25,
            neutral = 0)
        double amount,
    @Control(
            label = "Radius",
            unit = "px",
            from = 0.3,
            to = 5,
            step = 0.1,
            defaultValue = 1.2,
            help = "Pixels at full size")
        double radius,
    @Control(
            label = "Light side of edges",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1)
        double light,
    @Control(
            label = "Dark side of edges",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1)
        double dark,
    @Control(
            label = "Limit on halos",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.15,
            help = "How far an edge may go beyond the tones about it; 0 leaves no halo")
        double limit)
    implements Move {

  /** Pixels of the raster below which the mean is the pixel itself. */
  private static final double LEAST = 0.25;

  public Sharpen {
    Numbers.check(Sharpen.class, "amount", amount);
    Numbers.check(Sharpen.class, "radius", radius);
    Numbers.check(Sharpen.class, "light", light);
    Numbers.check(Sharpen.class, "dark", dark);
    Numbers.check(Sharpen.class, "limit", limit);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(this);
  }

  private record Work(Sharpen sharpen) implements PreparedPass.OnLight {

    @Override
    public int margin(double scale) {
      double sigma = sharpen.radius * scale;
      return sigma < LEAST ? 0 : Math.max(Gauss.reach(sigma), about(sigma));
    }

    /** Pixels within which the lightest and the darkest are looked for. */
    private static int about(double sigma) {
      return Math.max(1, (int) Math.round(sigma));
    }

    @Override
    public void apply(Tile tile, Picture p) {
      double sigma = sharpen.radius * tile.raster().scale();
      if (tile.empty() || sigma < LEAST || sharpen.amount == 0) {
        return;
      }
      int w = tile.raster().width();
      Plane own = LabPlanes.lightness(p);
      float[] mean = Gauss.smooth(own, sigma).data();
      float[] least = Nearby.least(own, about(sigma)).data();
      float[] most = Nearby.greatest(own, about(sigma)).data();
      float light = (float) (sharpen.amount * sharpen.light);
      float dark = (float) (sharpen.amount * sharpen.dark);
      float limit = (float) sharpen.limit;
      tile.rows(
          p,
          (j, from, to, amount) -> {
            for (int x = from; x < to; x++) {
              int i = j * w + x;
              float l = own.data()[i];
              float beyond = l - mean[i];
              float sharp = l + beyond * (beyond > 0 ? light : dark);
              float room = limit * (most[i] - least[i]);
              sharp = Math.max(least[i] - room, Math.min(most[i] + room, sharp));
              float y = p.luminanceAt(i);
              amount[x] =
                  y > 0 ? 1 + amount[x] * (LabPlanes.luminance(Math.max(0, sharp)) / y - 1) : 1;
            }
            p.multiply(j * w, amount, from, to);
          });
    }
  }
}
