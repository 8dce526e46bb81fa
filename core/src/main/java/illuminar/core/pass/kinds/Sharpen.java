package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.UnsharpMask;
import illuminar.core.picture.Picture;

/**
 * Sharper by the {@link UnsharpMask}: amount, radius and tones as photographers of interiors set
 * them (sharpened darks are sharpened noise, sharpened lights get hard rims).
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

    private UnsharpMask mask(double scale) {
      return new UnsharpMask(
          sharpen.radius * scale,
          sharpen.amount * sharpen.light,
          sharpen.amount * sharpen.dark,
          sharpen.limit);
    }

    @Override
    public int margin(double scale) {
      return mask(scale).margin();
    }

    @Override
    public void apply(Tile tile, Picture p) {
      mask(tile.raster().scale()).apply(tile, p);
    }
  }
}
