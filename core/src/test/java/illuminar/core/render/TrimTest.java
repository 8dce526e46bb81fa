package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.TestRoom;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Point;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Brush;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a region can lose: properties that follow from its definition, no outside source. */
class TrimTest {
  private static final PreviewSession SESSION =
      new PreviewSession(new TestRoom(360, 240).analysis(), new RenderCache(50_000_000));

  private static Brush.Stroke stroke(double x, double radius, boolean takeAway) {
    return new Brush.Stroke(
        radius, 0, 1, takeAway, 0, DrawnLine.write(List.of(new Point(x, 0.3), new Point(x, 0.35))));
  }

  private static Region brush(Brush.Stroke... strokes) {
    return new Region(
        "r",
        "Painted",
        List.of(new Part("b", Part.Combine.ADD, new Brush(List.of(strokes)))),
        0,
        false);
  }

  private static int strokes(Region region) {
    return ((Brush) region.parts().get(0).shape()).strokes().size();
  }

  private static Recipe recipe(Region region, Gate gate) {
    Pass up = new Pass("p", true, new Tone(1, 0, 0, 0), new Where("r", false), gate, 1, "");
    return new Recipe(new Ground.OneFrame("a1"), List.of(region), List.of(up));
  }

  @Test
  void strokesThatLieUnderOthersGo() {
    Region region =
        brush(stroke(0.1, 0.02, false), stroke(0.1, 0.06, false), stroke(0.4, 0.03, false));
    Recipe recipe = recipe(region, Gate.ALL);
    Region trimmed = Trim.of(SESSION, recipe, "r");
    assertThat(strokes(trimmed)).isEqualTo(2);
    assertThat(Trim.of(SESSION, recipe(trimmed, Gate.ALL), "r")).isEqualTo(trimmed);
  }

  @Test
  void whatWasTakenAwayAgainGoesWithItsEraser() {
    Region region =
        brush(stroke(0.4, 0.03, false), stroke(0.1, 0.02, false), stroke(0.1, 0.06, true));
    Region trimmed =
        Trim.of(SESSION, new Recipe(new Ground.OneFrame("a1"), List.of(region), List.of()), "r");
    assertThat(strokes(trimmed)).as("in two goes at most").isLessThanOrEqualTo(2);
  }

  /** The pass's gate lets only the window through, so paint on the dark wall does nothing. */
  @Test
  void whatNoPassCanChangeGoes() {
    Region region = brush(stroke(0.08, 0.03, false), stroke(0.5, 0.05, false));
    Region trimmed = Trim.of(SESSION, recipe(region, new Gate(-0.8, -0.5, 100, 100)), "r");
    assertThat(strokes(trimmed)).isEqualTo(1);
  }

  @Test
  void aThousandStrokesAreTrimmedAndAMissingRegionIsRefused() {
    List<Brush.Stroke> many = new ArrayList<>();
    for (int i = 0; i < 1000; i++) {
      many.add(stroke(0.3, 0.03, false));
    }
    many.add(stroke(0.3, 0.06, false));
    Region region = brush(many.toArray(new Brush.Stroke[0]));
    Region trimmed =
        Trim.of(SESSION, new Recipe(new Ground.OneFrame("a1"), List.of(region), List.of()), "r");
    assertThat(strokes(trimmed)).isEqualTo(1);
    assertThatThrownBy(() -> Trim.of(SESSION, recipe(region, Gate.ALL), "gone"))
        .hasMessageContaining("gone");
  }
}
