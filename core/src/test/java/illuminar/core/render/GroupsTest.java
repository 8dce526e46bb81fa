package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Stops;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Group;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.ToneBand;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Groups of passes: properties that follow from their definition, no outside source. */
class GroupsTest {
  private static final Analysis ROOM = new TestRoom(360, 240).analysis();
  private static final Raster WHOLE = Raster.whole(360, 240, 1);
  private static final Region LEFT = box("left", 0, 0.5);
  private static final Region MIDDLE = box("middle", 0.3, 0.7);
  private static final Region LIVE =
      new Region(
          "live",
          "Live",
          List.of(
              new Part(
                  "t",
                  Part.Combine.ADD,
                  new ToneBand(
                      new Look(Look.From.BELOW, ""), ToneBand.Tones.DARKS, 1, 0, List.of(), 0, 1))),
          0,
          false);

  private static Region box(String id, double from, double to) {
    return new Region(
        id,
        id,
        List.of(
            new Part(
                "o",
                Part.Combine.ADD,
                new Outline(
                    List.of(
                        new Point(from, 0),
                        new Point(to, 0),
                        new Point(to, 1),
                        new Point(from, 1))))),
        0,
        false);
  }

  private static Pass up(String id, String region, double strength, String group) {
    return new Pass(
        id,
        true,
        new Tone(1, 0, 0, 0),
        region.isEmpty() ? Where.EVERYWHERE : new Where(region, false),
        Gate.ALL,
        strength,
        "",
        group);
  }

  private static Recipe recipe(Group group, Pass... passes) {
    return new Recipe(
        new Ground.OneFrame("a1"), List.of(LEFT, MIDDLE, LIVE), List.of(passes), List.of(group));
  }

  private static Picture picture(Recipe recipe) {
    return new PreviewSession(ROOM, new RenderCache(20_000_000)).picture(recipe, WHOLE);
  }

  private static float tone(Picture p, int x) {
    return Stops.of(p.luminanceAt(20 * 360 + x));
  }

  @Test
  void aGroupLimitsItsPassesToItsRegionAndStrength() {
    Group group = new Group("g", "Walls", true, new Where("left", false), 0.5);
    Picture before = picture(recipe(group));
    Picture after = picture(recipe(group, up("p", "middle", 1, "g")));
    assertThat(tone(after, 50)).as("outside the pass's region").isEqualTo(tone(before, 50));
    assertThat(tone(after, 230)).as("outside the group's").isEqualTo(tone(before, 230));
    assertThat(tone(after, 150)).isCloseTo(tone(before, 150) + 0.5f, within(0.01f));
  }

  @Test
  void aGroupSwitchedOffTakesItsPassesWithIt() {
    Group off = new Group("g", "Walls", false, Where.EVERYWHERE, 1);
    Recipe recipe = recipe(off, up("p", "", 1, "g"), up("q", "left", 1, ""));
    assertThat(recipe.active(recipe.passes().get(0))).isFalse();
    Picture expected = picture(recipe(off, up("q", "left", 1, "")));
    assertThat(Arrays.equals(picture(recipe).r(), expected.r())).isTrue();
  }

  @Test
  void deliveryIsThePreviewWithALiveGroupToo() {
    Group group = new Group("g", "Walls", true, new Where("live", false), 0.8);
    Recipe recipe = recipe(group, up("p", "left", 1, "g"), up("q", "", 0.5, "g"));
    Picture whole = picture(recipe);
    float[] tiled = new float[whole.r().length];
    new DeliveryRender(ROOM)
        .deliver(
            recipe,
            1,
            97,
            61,
            (tile, pixels) -> {
              for (int y = 0; y < tile.height(); y++) {
                System.arraycopy(
                    pixels.r(),
                    y * tile.width(),
                    tiled,
                    (tile.y() + y) * 360 + tile.x(),
                    tile.width());
              }
            });
    assertThat(tiled).isEqualTo(whole.r());
  }

  @Test
  void aGroupThatIsNotThereIsRefused() {
    Group group = new Group("g", "Walls", true, Where.EVERYWHERE, 1);
    assertThatThrownBy(() -> recipe(group, up("p", "", 1, "other")))
        .hasMessageContaining("group that is not there");
    Group lost = new Group("g", "Walls", true, new Where("gone", false), 1);
    assertThatThrownBy(() -> recipe(lost)).hasMessageContaining("Walls");
  }
}
