package illuminar.server.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.analysis.cast.Casts;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Pass;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ClearCasts;
import illuminar.core.pass.kinds.ClearHaze;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Point;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Brush;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RecipeJsonTest {
  private final RecipeJson json = new RecipeJson();

  /** What an earlier version saved opens with what it meant then. */
  @Test
  void olderRecipesAreCompleted() {
    Recipe recipe =
        json.read(
            """
            {"ground": {"kind": "one-frame", "frame": "a"}, "passes": [], "regions": [
              {"id": "r", "name": "R", "feather": 4, "invert": true, "parts": [
                {"id": "o", "combine": "ADD", "shape": {"kind": "outline", "points": []}},
                {"id": "l", "combine": "ADD", "shape": {"kind": "burnt-light", "frame": "a", "reach": 0.4}},
                {"id": "b", "combine": "TAKE_AWAY", "shape": {"kind": "brush", "strokes": [
                  {"radius": 0.1, "softness": 0, "flow": 1, "takeAway": false,
                   "points": [{"x": 0.25, "y": 0.5}, {"x": 0.3, "y": 0.4}]}]}}]}],
              "geometry": {"turn": 1.5, "pitch": 0, "yaw": 0, "focal": 24, "bulge": 0, "outer": 0, "red": 0,
               "blue": 0, "crop": {"ratio": 0, "left": 0, "top": 0, "width": 0, "height": 0}}}
            """);
    assertThat(recipe.geometry().turn()).isEqualTo(1.5);
    assertThat(recipe.geometry().why()).isEmpty();
    assertThat(recipe.geometry().strength()).isEqualTo(1);
    Region region = recipe.regions().get(0);
    assertThat(region.density()).isEqualTo(1);
    assertThat(region.grow()).isZero();
    assertThat(region.parts()).allMatch(p -> p.strength() == 1 && !p.off() && !p.invert());
    Brush brush = (Brush) region.parts().get(2).shape();
    assertThat(brush.ceiling()).isEqualTo(1);
    assertThat(DrawnLine.read(brush.strokes().get(0).path()).points())
        .containsExactly(new Point(0.25, 0.5), new Point(0.3, 0.4));
    assertThat(json.read(json.write(recipe))).isEqualTo(recipe);
  }

  /** Merges saved before light was shown as it was lit were the camera's rendition. */
  @Test
  void olderMergesAreTheCamerasRendition() {
    Recipe recipe =
        json.read(
            """
            {"ground": {"kind": "radiance-merge", "frames": ["a"], "exposure": 0.5,
              "compression": 0.55, "calm": 0, "towards": "a"}, "passes": [], "regions": []}
            """);
    assertThat(recipe.ground())
        .isEqualTo(
            new Ground.RadianceMerge(List.of("a"), 0.5, 0.55, 0, 0, false, List.of(), 0, "a"));
  }

  /** Passes that have learnt something since open as they were meant. */
  @Test
  void olderPassesAreCompleted() {
    String pass =
        """
        {"id": "%s", "on": true, "strength": 1, "why": "", "where": {"region": "", "outside": false},
         "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100}, "move": %s}
        """;
    Recipe recipe =
        json.read(
            "{\"ground\": {\"kind\": \"one-frame\", \"frame\": \"a\"}, \"regions\": [], \"passes\": ["
                + pass.formatted(
                    "w",
                    "{\"kind\": \"bring-frame\", \"frame\": \"a\", \"over\": 0.9, \"edge\": 4}")
                + ","
                + pass.formatted(
                    "t",
                    "{\"kind\": \"tone\", \"exposure\": 1, \"contrast\": 0, \"highlights\": 0,"
                        + " \"shadows\": 5}")
                + ","
                + pass.formatted(
                    "c",
                    "{\"kind\": \"clear-casts\", \"source\": \"FLASH\", \"flash\": \"fl\","
                        + " \"amount\": 0.8, \"warmth\": 0.3}")
                + ","
                + pass.formatted(
                    "s",
                    "{\"kind\": \"clear-casts\", \"source\": \"SURFACES\", \"amount\": 1, \"warmth\": 0}")
                + ","
                + pass.formatted(
                    "h",
                    "{\"kind\": \"clear-haze\", \"amount\": 0.4, \"guard\": 1,"
                        + " \"saturation\": 0.9}")
                + "]}");
    assertThat(recipe.passes().stream().map(Pass::move))
        .containsExactly(
            new BringFrame("a", 0.9, 4),
            new Tone(1, 0, 0, 5),
            new ClearCasts(Casts.Source.FLASH, "fl", 0.8, 0.3),
            new ClearCasts(Casts.Source.SURFACES, "", 1, 0),
            new ClearHaze(0.4, 1, 0.9, 0));
    assertThat(recipe.passes()).allMatch(p -> p.group().isEmpty());
    assertThat(json.read(json.write(recipe))).isEqualTo(recipe);
  }

  /** CRAFT: detailed masks make files huge; ours are what was done. The bound is our goal. */
  @Test
  void twoHundredStrokesStaySmall() {
    Random random = new Random(1);
    List<Brush.Stroke> strokes = new ArrayList<>();
    for (int k = 0; k < 200; k++) {
      List<Point> line = new ArrayList<>();
      double x = random.nextDouble();
      double y = 0.6 * random.nextDouble();
      for (int i = 0; i < 10; i++) {
        line.add(new Point(x += 0.02 * random.nextGaussian(), y += 0.02 * random.nextGaussian()));
      }
      strokes.add(new Brush.Stroke(0.01234, 0.5, 0.82, k % 5 == 0, 18, DrawnLine.write(line)));
    }
    Part part = new Part("p", Part.Combine.ADD, new Brush(strokes));
    Region region = new Region("r", "Strokes", List.of(part), 0, false);
    assertThat(json.write(region).length()).isLessThan(40_000);
  }

  @Test
  void whatCannotBeReadIsNamed() {
    assertThatThrownBy(
            () ->
                json.read(
                    """
                    {"ground": {"kind": "one-frame", "frame": "a"}, "passes": [], "regions": [
                      {"id": "a", "name": "Wall", "feather": 0, "invert": false, "parts": [
                        {"id": "p", "combine": "ADD", "shape": {"kind": "other-region", "region": "a"}}]}]}
                    """))
        .hasMessageContaining("Region Wall uses itself");
    String numbers =
        """
        {"ground": {"kind": "one-frame", "frame": "a"}, "passes": [], "regions": [7]}
        """;
    assertThatThrownBy(() -> json.read(numbers)).hasMessageContaining("cannot be read");
    assertThatThrownBy(() -> json.read("{\"ground\": {\"kind\": \"clay\"}}"))
        .hasMessageContaining("clay");
  }
}
