package illuminar.core.region.part;

import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.PartKind;
import illuminar.core.region.Polygon;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.function.UnaryOperator;

/**
 * A closed line drawn freehand.
 *
 * @param path as {@link DrawnLine} writes it
 */
@PartKind(id = "loop", name = "Loop")
public record Loop(String path) implements Shape {
  public Loop {
    DrawnLine.check(path);
  }

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new Loop(DrawnLine.read(path).moved(to).write());
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return Polygon.cover(DrawnLine.read(path).points(), raster, sources.longEdge());
  }
}
