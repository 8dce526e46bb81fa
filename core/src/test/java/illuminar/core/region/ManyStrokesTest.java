package illuminar.core.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.TestRoom;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.part.Brush;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Brushes with a great many strokes; the bounds are our own. */
class ManyStrokesTest {

  private static Brush.Stroke stroke(int k, int points) {
    List<Point> line = new ArrayList<>();
    for (int i = 0; i < points; i++) {
      // a hand's curve, a few pixels of 2400 from point to point
      line.add(
          new Point(
              0.1 + 0.7 * (k % 97) / 97 + 0.002 * i,
              0.1 + 0.4 * (k % 31) / 31 + 0.01 * Math.sin(i * 0.3 + k)));
    }
    return new Brush.Stroke(0.01, 0.5, 0.8, k % 5 == 4, 0, DrawnLine.write(line));
  }

  private static List<Brush.Stroke> strokes(int n, int points) {
    List<Brush.Stroke> all = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      all.add(stroke(k, points));
    }
    return all;
  }

  /**
   * As JSON a stroke takes its path and some 90 characters for its numbers and their names; of a
   * hand's stroke the bench keeps the places that its line cannot do without, about ten.
   */
  @Test
  void twoHundredStrokesStayUnderFortyKilobytes() {
    int bytes = strokes(200, 10).stream().mapToInt(s -> s.path().length() + 90).sum();
    assertThat(bytes).isLessThan(40_000);
  }

  @Test
  void tenThousandStrokesAreDrawnAndOneMoreIsRefused() {
    Part part = new Part("b", Part.Combine.ADD, new Brush(strokes(10_000, 4)));
    Region region = new Region("r", "Painted", List.of(part), 0, false);
    Recipe recipe = new Recipe(new Ground.OneFrame("a1"), List.of(region), List.of());
    float[] share =
        new PreviewSession(new TestRoom(360, 240).analysis(), new RenderCache(10_000_000))
            .coverage(recipe, "r", Raster.whole(360, 240, 1))
            .copy();
    double sum = 0;
    for (float v : share) {
      assertThat(v).isBetween(0f, 1f);
      sum += v;
    }
    assertThat(sum).isGreaterThan(100);
    List<Brush.Stroke> tooMany = strokes(10_001, 2);
    assertThatThrownBy(() -> new Brush(tooMany)).hasMessageContaining("10000 strokes");
  }
}
