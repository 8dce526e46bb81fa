package illuminar.core.region;

import illuminar.core.analysis.FlashTroubles;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;

/** Hot spots or hard shadows of a flash, widened a little. */
final class FlashTroubleShape {
  /** Stops over which it comes in. */
  private static final float EASE = 0.4f;

  /** How far it is widened, pixels of the analysis grid. */
  private static final int WIDER = 3;

  private FlashTroubleShape() {}

  static float[] draw(Shape.FlashTrouble shape, Raster raster, Sight sight) {
    Raster grid = sight.analysis().raster();
    Plane found =
        sight.keep(shape, Plane.class, grid.pixels() * 4L, () -> found(shape, grid, sight));
    return sight.spread(found, raster);
  }

  private static Plane found(Shape.FlashTrouble shape, Raster grid, Sight sight) {
    Plane stops =
        sight.keep(
            List.of("flash", shape.flash(), shape.trouble()),
            Plane.class,
            grid.pixels() * 4L,
            () -> FlashTroubles.of(sight.analysis(), shape.flash(), shape.trouble()));
    float[] share = new float[grid.pixels()];
    for (int i = 0; i < share.length; i++) {
      share[i] = Ease.between((stops.data()[i] - (float) shape.least()) / EASE);
    }
    float[] wide = Grow.by(share, grid, grid, WIDER, true);
    return Gauss.smooth(new Plane(grid.width(), grid.height(), wide), WIDER / 2.0);
  }
}
