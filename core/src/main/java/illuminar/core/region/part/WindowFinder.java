package illuminar.core.region.part;

import illuminar.core.analysis.window.Panes;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.picture.Raster;
import illuminar.core.region.Grow;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;

/**
 * The panes of the windows, found in the frames: burnt in the ambient frames, well exposed in the
 * window frame, glazing bars left out.
 *
 * @param grow pixels at full size by which the panes are widened, −20 to 20
 */
@PartKind(id = "window-finder", name = "Window finder")
public record WindowFinder(
    @Control(label = "Grow", unit = "px", from = -20, to = 20, step = 1, defaultValue = 0)
        double grow)
    implements Shape {
  public WindowFinder {
    Numbers.check(WindowFinder.class, "grow", grow);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    Panes panes = Panes.of(sources.analysis());
    int by = (int) Math.round(Math.abs(grow) * raster.scale());
    Raster wide = sources.grown(in, raster, by);
    if (!panes.touch(wide)) {
      return new float[raster.pixels()];
    }
    float[] found = panes.draw(wide, sources.frame(panes.windowFrame(), wide));
    return by == 0 ? found : Grow.by(found, wide, raster, by, grow > 0);
  }
}
