package illuminar.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.colour.Lab;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** One room seen in three lights, brought together. Differences by CIEDE2000 (Sharma 2005). */
class LevelSetTest {
  private static final PreviewSession ROOM =
      new PreviewSession(new TestRoom(960, 640).analysis(), new RenderCache(100_000_000));

  private static final Look SEEN = new Look(Look.From.BELOW, "");

  /** The room as it would be in another light. */
  private static Recipe lit(double light, double warmer, double tint) {
    Pass pass =
        new Pass(
            "light", true, new Balance(light, warmer, tint, 1), Where.EVERYWHERE, Gate.ALL, 1, "");
    return new Recipe(new Ground.OneFrame("a1"), List.of(), List.of(pass));
  }

  private static Map<String, Lab> read(Recipe recipe) {
    return Map.of(
        "left wall", at(recipe, 0.12, 0.4),
        "right wall", at(recipe, 0.85, 0.5));
  }

  private static Lab at(Recipe recipe, double x, double y) {
    return ROOM.colour(recipe, SEEN, 960 * x, 640 * y, 30).lab();
  }

  @Test
  void viewsInDifferentLightAgreeAfterwards() {
    List<Recipe> recipes = List.of(lit(1, 0, 0), lit(1.4, 25, 6), lit(0.8, -20, -4));
    List<Map<String, Lab>> before = recipes.stream().map(LevelSetTest::read).toList();
    Map<String, Lab> common = LevelSet.common(before, -1);
    assertThat(common).containsOnlyKeys("left wall", "right wall");
    assertThat(before.stream().mapToDouble(v -> LevelSet.apart(v, common)).max().orElseThrow())
        .isGreaterThan(4);
    for (int k = 0; k < recipes.size(); k++) {
      Recipe level = LevelSet.levelled(recipes.get(k), before.get(k), common);
      // the goal for white walls of a shoot is 1.5
      assertThat(LevelSet.apart(read(level), common)).isLessThan(0.75);
      assertThat(LevelSet.without(level)).isEqualTo(recipes.get(k));
    }
  }

  @Test
  void theReferenceStaysAsItIs() {
    List<Recipe> recipes = List.of(lit(1, 0, 0), lit(1.4, 25, 6));
    List<Map<String, Lab>> before = recipes.stream().map(LevelSetTest::read).toList();
    Map<String, Lab> common = LevelSet.common(before, 1);
    assertThat(common).isEqualTo(before.get(1));
    assertThat(LevelSet.levelled(recipes.get(1), before.get(1), common)).isEqualTo(recipes.get(1));
  }

  @Test
  void whatOneViewAloneShowsIsNotShared() {
    List<Map<String, Lab>> views = new ArrayList<>();
    views.add(Map.of("walls", new Lab(80, 0, 0), "floor", new Lab(40, 5, 10)));
    views.add(Map.of("walls", new Lab(84, 2, 0)));
    Map<String, Lab> common = LevelSet.common(views, -1);
    assertThat(common).containsOnlyKeys("walls");
    assertThat(common.get("walls").l()).isCloseTo(82, within(1e-9));
    assertThat(LevelSet.apart(Map.of("floor", new Lab(40, 5, 10)), common)).isZero();
  }

  /** The test room's wall is textured and no white one; an even one is found, beside the window. */
  @Test
  void placesOnWhiteWallsLieBesideTheWindow() {
    Recipe recipe = lit(2.2, 0, 0);
    for (WhiteWalls.Place p : WhiteWalls.in(ROOM, recipe)) {
      boolean window =
          p.x() > 0.29 * 960 && p.x() < 0.71 * 960 && p.y() > 0.2 * 640 && p.y() < 0.68 * 640;
      assertThat(window).isFalse();
      assertThat(at(recipe, p.x() / 960, p.y() / 640).l()).isGreaterThan(45);
    }
  }
}
