package illuminar.core.region.part;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.ToneBand.Tones;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;

/** Regions of a test room, drawn. */
final class Drawn {
  private Drawn() {}

  static final TestRoom ROOM = new TestRoom(360, 240);

  static final Analysis ANALYSIS = ROOM.analysis();

  static final Raster WHOLE = Raster.whole(360, 240, 1);

  static final Ground GROUND = new Ground.OneFrame("a1");

  static float[] draw(Recipe recipe, String id, Raster raster) {
    return new PreviewSession(ANALYSIS, new RenderCache(50_000_000))
        .coverage(recipe, id, raster)
        .copy();
  }

  static float[] draw(Region... regions) {
    return draw(recipe(regions), regions[0].id(), WHOLE);
  }

  static Recipe recipe(Region... regions) {
    return new Recipe(GROUND, List.of(regions), List.of());
  }

  static float[] draw(Shape shape) {
    return draw(region("r", shape));
  }

  static Region region(String id, Shape... shapes) {
    List<Part> parts = new ArrayList<>();
    for (Shape s : shapes) {
      parts.add(new Part("p" + parts.size(), Part.Combine.ADD, s));
    }
    return new Region(id, "Region " + id, parts, 0, false);
  }

  static Point at(double x, double y) {
    return new Point(x / 360, y / 360);
  }

  static double area(float[] m) {
    double sum = 0;
    for (float v : m) {
      sum += v;
    }
    return sum;
  }

  static ToneBand band(Tones tones, double exponent, double less) {
    return new ToneBand(Look.GROUND, tones, exponent, less, List.of(), 0, 1);
  }

  static Picture ground() {
    return new PreviewSession(ANALYSIS, new RenderCache(1 << 20)).frame("a1", WHOLE);
  }

  static Shape ellipse(double turn, double softness) {
    return new Ellipse(at(180, 120), 60 / 360.0, 30 / 360.0, turn, softness);
  }

  static Region softened(Shape shape, double feather, double edge) {
    Part part = new Part("p", Part.Combine.ADD, shape, feather, 1, false, false);
    return new Region("r", "R", List.of(part), 0, edge, 0, 1, false);
  }
}
