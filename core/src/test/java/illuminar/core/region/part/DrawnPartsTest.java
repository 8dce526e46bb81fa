package illuminar.core.region.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Point;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.ToneBand.Tones;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Parts that are drawn: ramps, ellipses, panels, outlines, loops, brushes. */
class DrawnPartsTest {
  @Test
  void aRampFallsEvenlyFromItsStartToItsEnd() {
    float[] m = Drawn.draw(new Ramp(Drawn.at(100, 0), Drawn.at(200, 0)));
    for (int y = 0; y < 240; y += 40) {
      assertThat(m[y * 360 + 90]).isEqualTo(1);
      assertThat(m[y * 360 + 210]).isZero();
      assertThat((m[y * 360 + 149] + m[y * 360 + 150]) / 2).isCloseTo(0.5f, within(1e-4f));
    }
    float[] turned = Drawn.draw(new Ramp(Drawn.at(100, 100), Drawn.at(150, 150)));
    assertThat(turned[120 * 360 + 129]).isCloseTo(turned[129 * 360 + 120], within(1e-4f));
  }

  /** π a b for every turn; half of it where it fades all the way, by an eased cone's volume. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 30, 90, 145})
  void anEllipseCoversItsArea(double turn) {
    double full = Math.PI * 60 * 30;
    assertThat(Drawn.area(Drawn.draw(Drawn.ellipse(turn, 0))))
        .isCloseTo(full, within(full * 0.003));
    // ∫ 2 r (3 (1 − r)² − 2 (1 − r)³) dr from 0 to 1 = 3/10
    assertThat(Drawn.area(Drawn.draw(Drawn.ellipse(turn, 1))))
        .isCloseTo(full * 0.3, within(full * 0.003));
  }

  /** Beside the reference library's contour area. */
  @Test
  void aPanelCoversItsFourCorners() {
    List<Point> corners =
        List.of(Drawn.at(80, 40), Drawn.at(260, 60), Drawn.at(230, 200), Drawn.at(60, 180));
    Point2f mat = new Point2f(4);
    for (int k = 0; k < 4; k++) {
      mat.position(k).x((float) corners.get(k).x() * 360).y((float) corners.get(k).y() * 360);
    }
    double expected = opencv_imgproc.contourArea(new Mat(mat.position(0)));
    assertThat(Drawn.area(Drawn.draw(new Panel(corners, 0))))
        .isCloseTo(expected, within(expected * 0.01));
    assertThat(Drawn.area(Drawn.draw(new Panel(corners, 20))))
        .isCloseTo(expected, within(expected * 0.02));
  }

  /** A smooth outline through eight points of a circle is nearly that circle. */
  @Test
  void aSmoothOutlineCurvesThroughItsPoints() {
    List<Point> points = new ArrayList<>();
    for (int k = 0; k < 8; k++) {
      points.add(
          Drawn.at(180 + 80 * Math.cos(k * Math.PI / 4), 120 + 80 * Math.sin(k * Math.PI / 4)));
    }
    double circle = Math.PI * 6400;
    assertThat(Drawn.area(Drawn.draw(new Outline(points, true))))
        .isCloseTo(circle, within(circle * 0.01));
    assertThat(Drawn.area(Drawn.draw(new Outline(points, false)))).isLessThan(circle * 0.91);
  }

  @Test
  void aLoopIsTheOutlineOfItsPath() {
    List<Point> points = List.of(Drawn.at(40, 40), Drawn.at(200, 50), Drawn.at(120, 180));
    float[] loop = Drawn.draw(new Loop(DrawnLine.write(points)));
    float[] outline = Drawn.draw(new Outline(points));
    assertThat(Drawn.area(loop)).isCloseTo(Drawn.area(outline), within(2.0));
    assertThat(DrawnLine.read("100,200 -5,3,50").pressure()).containsExactly(1.0, 0.5);
    assertThat(DrawnLine.read("100,200 -5,3,50").points().get(1))
        .isEqualTo(new Point(95e-5, 203e-5));
    for (String odd :
        List.of("1,2 3;4", "1,2 5,-", "1,2 7", "1,2  3,4", "1,2 1,2,3,4-", "1,2 --3,4")) {
      assertThatThrownBy(() -> new Loop(odd)).as(odd).hasMessageContaining("a place that reads");
    }
    new Loop("-1,20 30,-4,55 0,0");
    new Loop("");
    new Loop("1,1 ".repeat(20_000).strip());
    assertThatThrownBy(() -> new Loop("1,1 ".repeat(20_001).strip()))
        .hasMessageContaining("at most 20000 places");
  }

  @Test
  void aBrushStopsAtEdgesWhereToldTo() {
    String path = DrawnLine.write(List.of(Drawn.at(90, 70), Drawn.at(90, 150)));
    Shape free = new Brush(List.of(new Brush.Stroke(0.1, 0, 1, false, 0, path)));
    Shape stopping = new Brush(List.of(new Brush.Stroke(0.1, 0, 1, false, 25, path)));
    float[] all = Drawn.draw(free);
    float[] stopped = Drawn.draw(stopping);
    double spilt = 0;
    double painted = 0;
    for (int y = 80; y < 140; y++) {
      for (int x = 60; x < 126; x++) {
        if (Drawn.ROOM.pane(x, y) == 1) {
          spilt += stopped[y * 360 + x];
        } else if (x < 107) {
          painted += stopped[y * 360 + x];
        }
      }
    }
    assertThat(all[100 * 360 + 118]).isEqualTo(1);
    assertThat(spilt / painted).isLessThan(0.01);
    assertThat(painted).isGreaterThan(1500);
  }

  @Test
  void aBrushTakesPaintOnlyWithinItsLimitAndUpToItsCeiling() {
    String path = DrawnLine.write(List.of(Drawn.at(60, 120), Drawn.at(300, 120)));
    Brush.Stroke stroke = new Brush.Stroke(0.05, 0, 0.6, false, 0, path);
    Region limit = Drawn.region("limit", new Ramp(Drawn.at(179, 0), Drawn.at(181, 0)));
    float[] m =
        Drawn.draw(
            Drawn.region("r", new Brush(List.of(stroke, stroke, stroke), 0.7, "limit")), limit);
    assertThat(m[120 * 360 + 100]).isBetween(0.6f, 0.7f);
    assertThat(m[120 * 360 + 250]).isZero();
  }

  @Test
  void senselessShapesAreRefused() {
    assertThatThrownBy(() -> new Ellipse(Drawn.at(1, 1), 0, 0.1, 0, 0))
        .hasMessageContaining("ellipse");
    assertThatThrownBy(() -> new Panel(List.of(Drawn.at(1, 1)), 0)).hasMessageContaining("four");
    assertThatThrownBy(() -> Drawn.band(Tones.LIGHTS, 9, 0))
        .hasMessage("Multiplications goes from 1 to 8, not 9");
    assertThatThrownBy(() -> new Region("r", "R", List.of(), 80, 0, 0, 1, false))
        .hasMessage("grow is −60 to 60 px, not 80");
    assertThatThrownBy(() -> new Brush(java.util.Collections.nCopies(10_001, null)))
        .isInstanceOf(RuntimeException.class);
  }
}
