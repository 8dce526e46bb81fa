package illuminar.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Point;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.ToneBand;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Faults made on purpose in the invented test room; common practice, no source. */
class WatchTest {
  private static final Analysis ROOM = new TestRoom(960, 640).analysis();

  private static List<Finding> over(Region region, boolean outside, Move move) {
    return over(new Ground.OneFrame("a1"), region, outside, move);
  }

  private static List<Finding> over(Ground ground, Region region, boolean outside, Move move) {
    Pass pass = new Pass("p", true, move, new Where(region.id(), outside), Gate.ALL, 1, "");
    return over(new Recipe(ground, List.of(region), List.of(pass)));
  }

  private static List<Finding> over(Recipe recipe) {
    return Watch.over(new PreviewSession(ROOM, new RenderCache(100_000_000)), recipe);
  }

  private static Region window(double feather, double grow) {
    Part panes = new Part("w", Part.Combine.ADD, new WindowFinder(0));
    return new Region("w", "Window", List.of(panes), grow, 0, feather, 1, false);
  }

  private static List<Finding> of(Fault kind, List<Finding> all) {
    return all.stream().filter(f -> f.kind() == kind).toList();
  }

  @Test
  void oneRealFrameHasNoFaults() {
    assertThat(over(new Recipe(new Ground.OneFrame("a1"), List.of(), List.of()))).isEmpty();
  }

  @Test
  void anEdgeTrueRegionHasNone() {
    List<Finding> found = over(window(0, 0), false, new Tone(-1.5, 0, 0, 0));
    assertThat(of(Fault.OVERSPRAY, found)).isEmpty();
    assertThat(of(Fault.HALO, found)).isEmpty();
  }

  /** A strip two pixels wide and lighter by a fifth of a stop: thin, long, and in no frame. */
  @Test
  void aLineThatNoFrameHasIsFoundOnTheSpotAndLaidToItsPass() {
    Outline strip =
        new Outline(
            List.of(
                new Point(0.05, 0.600), new Point(0.30, 0.600),
                new Point(0.30, 0.602), new Point(0.05, 0.602)),
            false);
    Region line =
        new Region("l", "Line", List.of(new Part("o", Part.Combine.ADD, strip)), 0, false);
    List<Finding> found = of(Fault.RIDGE, over(line, false, new Tone(0.3, 0, 0, 0)));
    assertThat(found).isNotEmpty();
    assertThat(found).allSatisfy(f -> assertThat(f.pass()).isEqualTo("p"));
    assertThat(found.get(0).at().y()).isBetween(0.59, 0.612);
    assertThat(found.get(0).at().x()).isBetween(0.05, 0.30);
    assertThat(found.get(0).amount()).isBetween(1.0, 8.0);
    assertThat(of(Fault.RIDGE, over(line, true, new Tone(0.3, 0, 0, 0)))).isNotEmpty();
  }

  /** What stands in the frames is shown with more contrast: a bar stays a bar. */
  @Test
  void linesOfTheFramesAreNoFault() {
    Region all = new Region("e", "All", List.of(), 0, true);
    assertThat(of(Fault.RIDGE, over(all, false, new Tone(0.4, 30, 0, 0)))).isEmpty();
  }

  /** A window's mask softened into the wall darkens the wall beside it: both are seen there. */
  @Test
  void aSoftWindowMaskIsOversprayOnTheWallBesideIt() {
    List<Finding> found = over(window(50, 0), false, new Tone(-1.5, 0, 0, 0));
    List<Finding> spray = of(Fault.OVERSPRAY, found);
    assertThat(spray).isNotEmpty();
    Finding first = spray.get(0);
    assertThat(first.pass()).isEqualTo("p");
    assertThat(first.mends()).isEqualTo("region edge");
    // the window lies between 0.30 and 0.70 of the width, 0.22 and 0.66 of the height
    assertThat(first.at().x()).isBetween(0.22, 0.78);
    assertThat(first.at().y() * 960 / 640).isBetween(0.12, 0.76);
    assertThat(of(Fault.HALO, found)).isNotEmpty();
  }

  /** A bright rim round the window: the room lifted, but for a soft band along the frame. */
  @Test
  void aRimIsAHaloOfThePassThatMakesIt() {
    List<Finding> found = over(window(60, 10), true, new Tone(1.5, 0, 0, 0));
    List<Finding> halo = of(Fault.HALO, found);
    assertThat(halo).isNotEmpty();
    assertThat(halo.get(0).pass()).isEqualTo("p");
    assertThat(halo.get(0).amount()).isGreaterThan(0.18);
  }

  /**
   * Darks lifted through a narrow mask lose their texture, as practitioners complain; lifted all
   * alike they keep it.
   */
  @Test
  void flattenedDarksAreMud() {
    Shape darks = new ToneBand(Look.GROUND, ToneBand.Tones.DARKS, 8, 0, List.of(), 0, 1);
    Region region =
        new Region("d", "Darks", List.of(new Part("t", Part.Combine.ADD, darks)), 0, false);
    Part all =
        new Part(
            "o",
            Part.Combine.ADD,
            new Outline(
                List.of(
                    new Point(0, 0.48), new Point(1, 0.48), new Point(1, 0.7), new Point(0, 0.7))));
    Region floor = new Region("floor", "Floor", List.of(all), 0, false);
    Ground dark = new Ground.OneFrame("a0");
    assertThat(of(Fault.MUD, over(dark, floor, false, new Tone(1.2, 0, 0, 0)))).isEmpty();
    List<Finding> mud = of(Fault.MUD, over(dark, region, false, new Tone(4, 0, 0, 0)));
    assertThat(mud).isNotEmpty();
    assertThat(mud.get(0).pass()).isEqualTo("p");
    assertThat(mud.get(0).mends()).isEqualTo("strength");
    assertThat(mud.get(0).amount()).isBetween(0.4, 1.2);
  }

  /** The same two moves, each measured by itself: the slope says what the watch says. */
  @Test
  void aPassSaysWhatItLeavesOfTheDarksThatItLifts() {
    Shape darks = new ToneBand(Look.GROUND, ToneBand.Tones.DARKS, 8, 0, List.of(), 0, 1);
    Region narrow =
        new Region("d", "Darks", List.of(new Part("t", Part.Combine.ADD, darks)), 0, false);
    LiftedDarks flat = lifted(narrow, new Tone(4, 0, 0, 0));
    assertThat(flat.lifts()).isTrue();
    assertThat(flat.mud()).isTrue();
    assertThat(flat.slope()).isLessThan(0.6);
    LiftedDarks held = lifted(narrow, new Tone(0.6, 0, 0, 0));
    assertThat(held.mud()).isFalse();
    assertThat(held.slope()).isGreaterThan(0.7);
    assertThat(lifted(narrow, new Tone(-1, 0, 0, 0))).isEqualTo(new LiftedDarks(false, 1, false));
    assertThatThrownBy(() -> lifted(narrow, "other", Tone.NONE)).hasMessageContaining("other");
  }

  private static LiftedDarks lifted(Region region, Move move) {
    return lifted(region, "p", move);
  }

  private static LiftedDarks lifted(Region region, String asked, Move move) {
    Pass pass = new Pass("p", true, move, new Where(region.id(), false), Gate.ALL, 1, "");
    Recipe recipe = new Recipe(new Ground.OneFrame("a0"), List.of(region), List.of(pass));
    PreviewSession session = new PreviewSession(ROOM, new RenderCache(100_000_000));
    return LiftedDarks.by(session, recipe, asked);
  }
}
