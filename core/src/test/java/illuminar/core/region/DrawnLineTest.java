package illuminar.core.region;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Drawn lines as text; the form is our own, no source. */
class DrawnLineTest {

  @Test
  void placesAreOneFromTheOther() {
    DrawnLine line = DrawnLine.read("50000,20000 1000,-500,40 -300,0");
    assertThat(line.points()).hasSize(3);
    assertThat(line.points().get(0)).isEqualTo(new Point(0.5, 0.2));
    assertThat(line.points().get(1).x()).isCloseTo(0.51, within(1e-9));
    assertThat(line.points().get(1).y()).isCloseTo(0.195, within(1e-9));
    assertThat(line.points().get(2).x()).isCloseTo(0.507, within(1e-9));
    assertThat(line.pressure()).containsExactly(1.0, 0.4, 1.0);
  }

  @Test
  void nothingDrawnIsAnEmptyLine() {
    assertThat(DrawnLine.read("  ").points()).isEmpty();
    assertThat(DrawnLine.write(List.of())).isEmpty();
  }

  @Test
  void whatWasWrittenIsReadBack() {
    Random random = new Random(2);
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 400; i++) {
      points.add(new Point(random.nextDouble() * 1.4 - 0.2, random.nextDouble() - 0.1));
    }
    String text = DrawnLine.write(points);
    DrawnLine.check(text);
    List<Point> back = DrawnLine.read(text).points();
    assertThat(back).hasSameSizeAs(points);
    for (int i = 0; i < points.size(); i++) {
      // each place is rounded by itself, so errors do not add up
      assertThat(back.get(i).x()).isCloseTo(points.get(i).x(), within(0.50001e-5));
      assertThat(back.get(i).y()).isCloseTo(points.get(i).y(), within(0.50001e-5));
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "1",
        "1,2,3,4",
        "a,b",
        "1,2  3,4",
        "1,",
        ",1",
        "1-2,3",
        "1,2-",
        "--1,2",
        "1.5,2",
        "1,2;3,4",
        "99999999999,1"
      })
  void whatIsNoLineIsRefusedWithItsPlace(String text) {
    assertThatThrownBy(() -> DrawnLine.check(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("place");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1,2", "-1,-2", "0,0,100 5,-5,0", "123456789,1", "1,2 -3,4 5,-6", "1,2 "})
  void linesPass(String text) {
    assertThatCode(() -> DrawnLine.check(text)).doesNotThrowAnyException();
    assertThat(DrawnLine.read(text).points()).isNotEmpty();
  }

  @Test
  void aLineHasAMost() {
    String most = "1,1" + " 1,1".repeat(19_999);
    assertThatCode(() -> DrawnLine.check(most)).doesNotThrowAnyException();
    assertThatThrownBy(() -> DrawnLine.check(most + " 1,1")).hasMessageContaining("20000");
  }
}
