package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Reflections;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Outline;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * The room mirrored in a pane is light added to the view. A pane mirrors about 8 % of what stands
 * before it, 4 % at each face (Fresnel's equations at right angles for a refractive index of 1.5,
 * textbook optics). The scene is invented, so the view without the room is known.
 */
class ReflectionsTest {
  private static final int W = 240;
  private static final int H = 160;
  private static final Raster WHOLE = Raster.whole(W, H, 1);
  private static final double MIRRORED = 0.08;

  private static boolean pane(int x, int y) {
    return x >= 60 && x < 180 && y >= 30 && y < 120;
  }

  /** Hills at dusk. */
  private static double view(int x, int y, int c) {
    return (0.20 + 0.05 * Math.sin(0.13 * x) + 0.04 * Math.cos(0.21 * y + 0.05 * x))
        * (c == 2 ? 1.3 : 1);
  }

  /** What stands before the pane: a lit shade, a picture and its frame. */
  private static double room(int x, int y) {
    double shade = Math.hypot(x - 100, y - 60) < 18 ? 1.6 : 0.1;
    double picture = x > 130 && x < 165 && y > 60 && y < 95 ? (x + y) / 8 % 2 == 0 ? 0.9 : 0.3 : 0;
    return shade + picture;
  }

  /** The flash comes from elsewhere than the lamps do. */
  private static double flashOverLamps(int x) {
    return 2.2 + 0.5 * x / W;
  }

  private static double light(int x, int y, int c, double lamps, double flash) {
    double before = room(x, y) * (lamps + flash * flashOverLamps(x));
    return pane(x, y)
        ? view(x, y, c) + MIRRORED * before * (c == 2 ? 0.6 : 1)
        : 0.12 * (lamps + flash);
  }

  private static Frame frame(String id, Role role, double stops, double lamps, double flash) {
    return TestRoom.frame(id, role, stops, W, H, (x, y, c) -> light(x, y, c, lamps, flash));
  }

  /** The room's frame, a darker one for the view, and what else was taken. */
  private static Analysis taken(Frame... more) {
    List<Frame> all =
        new ArrayList<>(
            List.of(
                frame("room", Role.AMBIENT, 1, 1, 0),
                frame("even", Role.AMBIENT, 0, 1, 0),
                frame("view", Role.WINDOW, -0.5, 1, 0)));
    all.addAll(List.of(more));
    return new Analysis(new Frames(all, "room", TestRoom.response()));
  }

  private static final Frame OFF = frame("off", Role.LAMPS_OFF, 0, 0, 0);
  private static final Frame FLASH = frame("flash", Role.FLASH, 0, 1, 1);

  private static Recipe recipe(Move move) {
    Shape pane =
        new Outline(
            List.of(
                new Point(60.0 / W, 30.0 / W),
                new Point(180.0 / W, 30.0 / W),
                new Point(180.0 / W, 120.0 / W),
                new Point(60.0 / W, 120.0 / W)));
    Region region =
        new Region("pane", "Pane", List.of(new Part("a", Part.Combine.ADD, pane)), 0, false);
    return new Recipe(
        new Ground.OneFrame("room"),
        List.of(region),
        List.of(new Pass("w", true, move, new Where("pane", false), Gate.ALL, 1, "")));
  }

  private static Picture picture(Analysis analysis, double out) {
    Move move = new BringFrame("view", 0.5, 0, out);
    return new PreviewSession(analysis, new RenderCache(20_000_000)).picture(recipe(move), WHOLE);
  }

  /** Mean difference within the pane, all brightness apart: over the same frame brought in. */
  private static double apart(Picture a, Picture b) {
    return Apart.within(a, b, 64, 34, 176, 116, 1);
  }

  /** The same view taken with nothing lit before the pane, brought in at the same gain. */
  private static Picture clear(Analysis analysis) {
    Frame bare = frame("view", Role.WINDOW, -0.5, 0, 0);
    List<Frame> all = new ArrayList<>(analysis.frames().all());
    all.replaceAll(f -> f.id().equals("view") ? bare : f);
    Analysis without = new Analysis(new Frames(all, "room", TestRoom.response()));
    // the view's mean light sets its gain; tones go with light to the 0.8 in the test camera
    double lighter = 0.8 * (meanStops(analysis, "view") - meanStops(without, "view"));
    Move move = new BringFrame("view", 0.5 - lighter, 0);
    return new PreviewSession(without, new RenderCache(20_000_000)).picture(recipe(move), WHOLE);
  }

  private static double meanStops(Analysis analysis, String frame) {
    float[] stops = analysis.lightStops(frame).data();
    Raster small = analysis.small();
    double sum = 0;
    int n = 0;
    for (int y = 0; y < small.height(); y++) {
      for (int x = 0; x < small.width(); x++) {
        int u = x * W / small.width();
        int v = y * H / small.height();
        if (u >= 61 && u < 178 && v >= 31 && v < 118) {
          sum += stops[y * small.width() + x];
          n++;
        }
      }
    }
    return sum / n;
  }

  @Test
  void lampsOffTellWhatThePaneMirrorsOfTheLamps() {
    Analysis analysis = taken(OFF);
    Picture clear = clear(analysis);
    double before = apart(picture(analysis, 0), clear);
    double after = apart(picture(analysis, 1), clear);
    assertThat(before).as("seen before").isGreaterThan(2);
    assertThat(after).as("left of %.1f", before).isLessThan(0.15 * before);
  }

  @Test
  void halfTakesOutHalf() {
    Analysis analysis = taken(OFF);
    Picture clear = clear(analysis);
    double before = apart(picture(analysis, 0), clear);
    assertThat(apart(picture(analysis, 0.5), clear) / before).isBetween(0.4, 0.62);
  }

  /** The flash lights the room otherwise than the lamps do, so some of the pattern stays. */
  @Test
  void aFlashTellsTheMirroredPattern() {
    Analysis analysis = taken(FLASH);
    Picture clear = clear(analysis);
    double before = apart(picture(analysis, 0), clear);
    assertThat(apart(picture(analysis, 1), clear)).isLessThan(0.45 * before);
  }

  /** A view without the room in it is not changed by what a flash shows on the pane. */
  @Test
  void whereNothingIsMirroredNothingIsTaken() {
    List<Frame> all = new ArrayList<>(taken(FLASH).frames().all());
    all.replaceAll(f -> f.id().equals("view") ? frame("view", Role.WINDOW, -0.5, 0, 0) : f);
    Analysis analysis = new Analysis(new Frames(all, "room", TestRoom.response()));
    assertThat(apart(picture(analysis, 1), picture(analysis, 0))).isLessThan(0.6);
  }

  @Test
  void withoutAPairItSaysWhatIsMissing() {
    assertThatThrownBy(() -> picture(taken(), 1))
        .hasMessageContaining("Remove reflections")
        .hasMessageContaining("lamps-off frame");
    Frame burnt = frame("flash", Role.FLASH, 6, 1, 1);
    Frame partner = frame("bright", Role.AMBIENT, 6, 1, 0);
    assertThatThrownBy(() -> picture(taken(burnt, partner), 1)).hasMessageContaining("burnt");
  }

  @Test
  void aFrameTakenWithTheLampsOffHasNothingToTakeOut() {
    Move move = new BringFrame("off", 0.5, 0, 1);
    PreviewSession session = new PreviewSession(taken(OFF), new RenderCache(20_000_000));
    assertThatThrownBy(() -> session.picture(recipe(move), WHOLE))
        .hasMessageContaining("lamps off");
  }

  @Test
  void tellsHowMuchOfThePanesLightItIs() {
    Analysis analysis = taken(OFF);
    float[] glass = new float[analysis.small().pixels()];
    Arrays.fill(glass, 1);
    Reflections told = Reflections.of(analysis, "view", glass);
    assertThat(told.told()).isTrue();
    assertThat(told.with()).isEqualTo("even");
    assertThat(told.without()).isEqualTo("off");
    // half a stop darker than the pair
    assertThat(told.share()[1]).isBetween(0.70f, 0.715f);
    assertThat(told.part()).isBetween(0.01, 0.99);
  }
}
