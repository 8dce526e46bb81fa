package illuminar.core.region.part;

import illuminar.core.analysis.light.FlashTroubles;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Grow;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Where a flash makes hot spots or throws hard shadows.
 *
 * <p>Hot spots or hard shadows of a flash, widened a little.
 *
 * @param flash id of the flash frame
 * @param least stops by which the flash stands out of its surroundings, 0.2 to 4
 */
@PartKind(id = "flash-trouble", name = "Flash problem")
public record FlashTrouble(
    String flash,
    FlashTroubles.Trouble trouble,
    @Control(
            label = "Threshold",
            unit = "st",
            from = 0.2,
            to = 4,
            step = 0.05,
            defaultValue = 0.3,
            help = "How much brighter or darker than its surroundings a problem is")
        double least)
    implements Shape {
  /** Stops over which it comes in. */
  private static final float EASE = 0.4f;

  /** How far it is widened, pixels of the analysis grid. */
  private static final int WIDER = 3;

  public FlashTrouble {
    Numbers.check(FlashTrouble.class, "least", least);
  }

  @Override
  public List<String> frames() {
    return List.of(flash);
  }

  @Override
  public Shape foundIn(UnaryOperator<String> frames) {
    return new FlashTrouble(frames.apply(flash), trouble, least);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, sources);
  }

  private static float[] draw(FlashTrouble shape, Raster raster, Sources sources) {
    Raster grid = sources.analysis().raster();
    Plane found =
        sources.keep(shape, Plane.class, grid.pixels() * 4L, () -> found(shape, grid, sources));
    return sources.spread(found, raster);
  }

  private static Plane found(FlashTrouble shape, Raster grid, Sources sources) {
    Plane stops =
        sources.keep(
            List.of("flash", shape.flash(), shape.trouble()),
            Plane.class,
            grid.pixels() * 4L,
            () -> FlashTroubles.of(sources.analysis(), shape.flash(), shape.trouble()));
    float[] share = new float[grid.pixels()];
    for (int i = 0; i < share.length; i++) {
      share[i] = Ease.between((stops.data()[i] - (float) shape.least()) / EASE);
    }
    float[] wide = Grow.by(share, grid, grid, WIDER, true);
    return Gauss.smooth(new Plane(grid.width(), grid.height(), wide), WIDER / 2.0);
  }
}
