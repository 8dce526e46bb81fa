package illuminar.core.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Panes;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.part.Brush;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.junit.jupiter.api.Test;

class RegionTest {
  private static final TestRoom ROOM = new TestRoom(360, 240);
  private static final Analysis ANALYSIS = ROOM.analysis();
  private static final Raster WHOLE = Raster.whole(360, 240, 1);

  private static float[] draw(Region region, Raster raster) {
    Recipe recipe = new Recipe(new Ground.OneFrame("a2"), List.of(region), List.of());
    return new PreviewSession(ANALYSIS, new RenderCache(50_000_000))
        .coverage(recipe, region.id(), raster)
        .copy();
  }

  private static Region region(double feather, boolean invert, Part... parts) {
    return new Region("r", "Region", List.of(parts), feather, invert);
  }

  private static Part outline(Part.Combine how, double... xy) {
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < xy.length; i += 2) {
      points.add(new Point(xy[i] / 360, xy[i + 1] / 360));
    }
    return new Part("p", how, new Outline(points));
  }

  private static double area(float[] m) {
    double sum = 0;
    for (float v : m) {
      sum += v;
    }
    return sum;
  }

  /** The covered area is that of the polygon, beside the reference library's contour area. */
  @Property(tries = 60)
  void outlineCoversThePolygonsArea(
      @ForAll @Size(6) List<@DoubleRange(min = 10, max = 220) Double> xy) {
    Part p =
        outline(Part.Combine.ADD, xy.get(0), xy.get(1), xy.get(2), xy.get(3), xy.get(4), xy.get(5));
    Point2f corners = new Point2f(3);
    for (int i = 0; i < 3; i++) {
      corners.position(i).x(xy.get(2 * i).floatValue()).y(xy.get(2 * i + 1).floatValue());
    }
    double expected =
        opencv_imgproc.contourArea(
            new org.bytedeco.opencv.opencv_core.Mat(
                3, 1, org.bytedeco.opencv.global.opencv_core.CV_32FC2, corners.position(0)));
    // eight lines a pixel: a needle thinner than a line may be missed along its whole length
    double missed =
        0.07
            * (Math.max(xy.get(0), Math.max(xy.get(2), xy.get(4)))
                - Math.min(xy.get(0), Math.min(xy.get(2), xy.get(4))));
    assertThat(area(draw(region(0, false, p), WHOLE)))
        .isCloseTo(expected, within(0.6 + missed + expected * 0.002));
  }

  @Test
  void partsJoinAsTheySay() {
    Part a = outline(Part.Combine.ADD, 20, 20, 120, 20, 120, 120, 20, 120);
    Part add = outline(Part.Combine.ADD, 100, 20, 200, 20, 200, 120, 100, 120);
    Part away = outline(Part.Combine.TAKE_AWAY, 100, 20, 200, 20, 200, 120, 100, 120);
    Part overlap = outline(Part.Combine.OVERLAP, 100, 20, 200, 20, 200, 120, 100, 120);
    assertThat(area(draw(region(0, false, a, add), WHOLE))).isCloseTo(18_000, within(1.0));
    assertThat(area(draw(region(0, false, a, away), WHOLE))).isCloseTo(8_000, within(1.0));
    assertThat(area(draw(region(0, false, a, overlap), WHOLE))).isCloseTo(2_000, within(1.0));
  }

  @Test
  void theFirstPartAlwaysAdds() {
    Part away = outline(Part.Combine.TAKE_AWAY, 20, 20, 120, 20, 120, 120, 20, 120);
    assertThat(area(draw(region(0, false, away), WHOLE))).isCloseTo(10_000, within(1.0));
  }

  @Test
  void anOutlineThatCrossesItselfIsFilledByTheNonZeroRule() {
    Part bow = outline(Part.Combine.ADD, 20, 20, 120, 120, 120, 20, 20, 120);
    assertThat(area(draw(region(0, false, bow), WHOLE))).isCloseTo(5_000, within(5.0));
  }

  @Test
  void fewerThanThreePointsHoldNothing() {
    assertThat(area(draw(region(0, false, outline(Part.Combine.ADD, 20, 20, 90, 90)), WHOLE)))
        .isZero();
    assertThat(area(draw(region(0, false), WHOLE))).isZero();
  }

  @Test
  void invertingTwiceIsNothing() {
    Part a = outline(Part.Combine.ADD, 20, 30, 180, 40, 90, 200);
    float[] plain = draw(region(6, false, a), WHOLE);
    float[] turned = draw(region(6, true, a), WHOLE);
    for (int i = 0; i < plain.length; i++) {
      assertThat(1 - turned[i]).isCloseTo(plain[i], within(1e-6f));
    }
  }

  /** A feather keeps the area and is half at the edge. Source: symmetry of the Gaussian. */
  @Test
  void featherIsHalfAtTheEdge() {
    Part square = outline(Part.Combine.ADD, 100, 60, 260, 60, 260, 180, 100, 180);
    for (double feather : new double[] {4, 10, 30}) {
      float[] soft = draw(region(feather, false, square), WHOLE);
      assertThat(area(soft)).isCloseTo(160 * 120, within(160 * 120 * 0.01));
      float edge = (soft[120 * 360 + 99] + soft[120 * 360 + 100]) / 2;
      assertThat(edge).isCloseTo(0.5f, within(0.03f));
    }
  }

  @Property(tries = 25)
  void tilesMakeNoDifference(
      @ForAll @DoubleRange(min = 0, max = 40) double feather,
      @ForAll @DoubleRange(min = 1, max = 200) double cut) {
    Part a = outline(Part.Combine.ADD, 20, 30, 280, 40, 90, 200);
    Part b = new Part("b", Part.Combine.TAKE_AWAY, stroke(0.05, 0.6, 1));
    Part w = new Part("w", Part.Combine.ADD, new WindowFinder(2));
    Region region = region(feather, false, a, b, w);
    float[] whole = draw(region, WHOLE);
    int y = (int) cut;
    float[] lower = draw(region, WHOLE.part(30, y, 200, 240 - y));
    for (int j = 0; j < 240 - y; j++) {
      for (int i = 0; i < 200; i++) {
        assertThat(lower[j * 200 + i]).isEqualTo(whole[(j + y) * 360 + i + 30]);
      }
    }
  }

  private static Shape stroke(double radius, double softness, double flow) {
    return new Brush(
        List.of(
            new Brush.Stroke(
                radius,
                softness,
                flow,
                false,
                List.of(new Point(0.2, 0.3), new Point(0.5, 0.35), new Point(0.7, 0.2)))));
  }

  @Test
  void aHardStrokeCoversItsCapsule() {
    Brush.Stroke line =
        new Brush.Stroke(
            20 / 360.0,
            0,
            1,
            false,
            List.of(new Point(100 / 360.0, 0.3), new Point(200 / 360.0, 0.3)));
    float[] m =
        draw(region(0, false, new Part("b", Part.Combine.ADD, new Brush(List.of(line)))), WHOLE);
    assertThat(area(m)).isCloseTo(100 * 40 + Math.PI * 400, within(60.0));
  }

  @Test
  void flowBuildsUpAndRubbingTakesAway() {
    Brush.Stroke half = new Brush.Stroke(0.1, 0, 0.5, false, List.of(new Point(0.4, 0.3)));
    Brush.Stroke rub = new Brush.Stroke(0.1, 0, 1, true, List.of(new Point(0.4, 0.3)));
    int at = 108 * 360 + 144;
    assertThat(brushed(half)[at]).isCloseTo(0.5f, within(1e-4f));
    assertThat(brushed(half, half)[at]).isCloseTo(0.75f, within(1e-4f));
    assertThat(brushed(half, half, rub)[at]).isCloseTo(0, within(1e-4f));
  }

  private static float[] brushed(Brush.Stroke... strokes) {
    return draw(
        region(0, false, new Part("b", Part.Combine.ADD, new Brush(List.of(strokes)))), WHOLE);
  }

  /** Against the known panes of the room: bars out, panes in. */
  @Test
  void panesAreFoundWithoutTheirBars() {
    float[] found =
        draw(region(0, false, new Part("w", Part.Combine.ADD, new WindowFinder(0))), WHOLE);
    double both = 0;
    double either = 0;
    for (int y = 0; y < 240; y++) {
      for (int x = 0; x < 360; x++) {
        double truth = ROOM.pane(x, y);
        both += Math.min(truth, found[y * 360 + x]);
        either += Math.max(truth, found[y * 360 + x]);
      }
    }
    assertThat(Panes.of(ANALYSIS).count()).isEqualTo(4);
    assertThat(both / either).isGreaterThan(0.97);
    assertThat(found[105 * 360 + 150]).as("bar").isLessThan(0.05f);
  }

  @Test
  void burntLightIsWhereTheFrameIsBurnt() {
    float[] m =
        draw(region(0, false, new Part("b", Part.Combine.ADD, new BurntLight("a1", 0.2))), WHOLE);
    assertThat(m[100 * 360 + 140]).isEqualTo(1);
    assertThat(m[220 * 360 + 10]).isZero();
  }

  @Test
  void senselessPartsAreRefused() {
    assertThatThrownBy(() -> new Brush.Stroke(0, 0, 1, false, List.of()))
        .hasMessageContaining("brush");
    assertThatThrownBy(() -> new WindowFinder(50)).hasMessageContaining("20 px");
    assertThatThrownBy(() -> new Point(Double.NaN, 0)).isInstanceOf(IllegalArgumentException.class);
  }

  /**
   * A view stands four and more stops over its room; a sunlit wall beside its shade two to three
   * (common practice, no source), and is no window however much it burns.
   */
  @Test
  void aSunlitWallIsNoWindow() {
    assertThat(Panes.of(new TestRoom(360, 240, 1).analysis()).count()).isEqualTo(4);
    assertThat(Panes.of(new TestRoom(360, 240, 0.22).analysis()).count()).isZero();
  }
}
