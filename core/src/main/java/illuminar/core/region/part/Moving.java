package illuminar.core.region.part;

import illuminar.core.analysis.movement.Movement;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.picture.Raster;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;

/**
 * Where the frames show different things, exposure apart.
 *
 * @param least disagreement in stops from which a place counts as moving, 0.05 to 3
 */
@PartKind(id = "moving", name = "Moving")
public record Moving(
    @Control(
            label = "Threshold",
            unit = "st",
            from = 0.05,
            to = 3,
            step = 0.05,
            defaultValue = 0.4,
            help = "Difference between the frames from which a place counts as moving")
        double least)
    implements Shape {
  public Moving {
    Numbers.check(Moving.class, "least", least);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return sources.spread(Movement.of(sources.analysis()).disagreeing(least), raster);
  }
}
