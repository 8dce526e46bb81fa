package illuminar.core.first;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ClearHaze;
import illuminar.core.pass.kinds.RestoreLight;
import illuminar.core.pass.kinds.ShowView;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FirstVersionTest {
  private static final Analysis ROOM = new TestRoom(360, 240).analysis();

  private static PreviewSession session(Analysis analysis) {
    return new PreviewSession(analysis, new RenderCache(50_000_000));
  }

  @Test
  void everyPassOfAFirstVersionSaysWhyAndStandsInTheOrderOfWork() {
    Recipe first = FirstVersion.of(session(ROOM));
    assertThat(first.ground()).isInstanceOf(Ground.RadianceMerge.class);
    assertThat(first.passes()).hasSizeGreaterThanOrEqualTo(2);
    assertThat(first.passes().get(0).move()).isInstanceOf(ShowView.class);
    assertThat(first.passes()).allSatisfy(p -> assertThat(p.why()).isNotBlank());
    assertThat(first.passes().stream().map(Pass::id).distinct()).hasSameSizeAs(first.passes());
  }

  /** The merged light of a room holds its lamps; in a blend they are restored. */
  @Test
  void lampsOfABlendAreRestoredBeforeTheViewGoesOnFromThem() {
    Recipe blend = FirstVersion.evenBlend(ROOM.frames());
    List<Pass> windows = FirstVersion.propose("Windows", blend, session(ROOM)).recipe().passes();
    assertThat(windows.get(0).move()).isInstanceOf(RestoreLight.class);
    assertThat(windows.get(1).move()).isInstanceOf(BringFrame.class);
    Recipe merged = FirstVersion.ground(ROOM);
    assertThat(FirstVersion.propose("Windows", merged, session(ROOM)).recipe().passes())
        .noneMatch(p -> p.move() instanceof RestoreLight);
  }

  @Test
  void itIsTheSameEveryTime() {
    assertThat(FirstVersion.of(session(ROOM))).isEqualTo(FirstVersion.of(session(ROOM)));
  }

  /** A single frame works everywhere: no windows, no lamps, but its tones. */
  @Test
  void aSingleFrameIsLiftedWithoutWindows() {
    Frames all = ROOM.frames();
    Frames dark =
        new Frames(List.of(all.ambient().get(0)), all.ambient().get(0).id(), all.response());
    Recipe first = FirstVersion.of(session(new Analysis(dark)));
    assertThat(first.ground()).isInstanceOf(Ground.OneFrame.class);
    assertThat(first.passes()).noneMatch(p -> p.move() instanceof ShowView);
    assertThat(first.regions()).isEmpty();
  }

  /** Whatever a single frame is for: it is a view, and each stage has something to say of it. */
  @ParameterizedTest
  @EnumSource(Role.class)
  void aSingleFrameOfAnyRoleIsAView(Role role) {
    Frame given = ROOM.frames().ambient().get(1);
    Frame only = new Frame("only", role, given.stops(), given.toFrame(), given.pixels());
    Frames frames = new Frames(List.of(only), "only", ROOM.frames().response());
    PreviewSession session = session(new Analysis(frames));
    Recipe first = FirstVersion.of(session);
    assertThat(first.ground()).isEqualTo(new Ground.OneFrame("only"));
    for (String stage : FirstVersion.stages()) {
      assertThat(FirstVersion.propose(stage, first, session).said()).as(stage).isNotBlank();
    }
  }

  /** What is asked for again does not overwrite: it comes under an id of its own. */
  @Test
  void aStageCanBeProposedAgain() {
    PreviewSession session = session(ROOM);
    Recipe bare = FirstVersion.evenBlend(ROOM.frames());
    Recipe once = FirstVersion.propose("Windows", bare, session).recipe();
    Recipe twice = FirstVersion.propose("Windows", once, session).recipe();
    assertThat(twice.passes()).hasSize(2 * once.passes().size());
    assertThat(twice.regions()).isEqualTo(once.regions());
  }

  /** Lamps beside windows: a region that sees farther than the tile that it is drawn in. */
  @Test
  void deliveredInTilesItIsThePictureBitForBit() {
    PreviewSession session = session(ROOM);
    Recipe windows =
        FirstVersion.propose("Windows", FirstVersion.evenBlend(ROOM.frames()), session).recipe();
    Draft draft = new Draft(windows);
    String dark = ROOM.frames().ambient().get(0).id();
    draft.region(
        "lamps",
        "Lamps",
        Draft.add("b", new BurntLight(ROOM.frames().anchor(), 0.4, 12)),
        Draft.takeAway("p", new WindowFinder(6)));
    draft.pass("l", new RestoreLight(dark, -1.2, -0.1), new Where("lamps", false), 1, "");
    Picture whole = session.picture(draft.done(), Raster.whole(360, 240, 1));
    Picture tiled = Picture.of(360, 240);
    new DeliveryRender(session.analysis())
        .deliver(
            draft.done(),
            1,
            53,
            37,
            (tile, pixels) ->
                pixels.into(tiled, 0, 0, tile.x(), tile.y(), tile.width(), tile.height()));
    for (int c = 0; c < 3; c++) {
      assertThat(tiled.channel(c)).containsExactly(whole.channel(c));
    }
  }

  /** CRAFT: a low-contrast starting rendition squeezes the histogram; it lies under other tones. */
  @Test
  void aLowContrastStartComesFirstAndOnce() {
    PreviewSession session = session(ROOM);
    Recipe toned =
        FirstVersion.propose("Tone", FirstVersion.evenBlend(ROOM.frames()), session).recipe();
    Recipe low = FirstVersion.propose(FirstVersion.LOW_CONTRAST, toned, session).recipe();
    assertThat(((Tone) low.passes().get(0).move()).contrast()).isNegative();
    assertThat(low.passes()).hasSize(toned.passes().size() + 1);
    assertThat(FirstVersion.propose(FirstVersion.LOW_CONTRAST, low, session).recipe())
        .isEqualTo(low);
    float[] before = Seen.of(toned, session).tones();
    float[] after = Seen.of(low, session).tones();
    int n = before.length;
    assertThat(after[n * 9 / 10] - after[n / 10]).isLessThan(before[n * 9 / 10] - before[n / 10]);
  }

  /** The light behind the test room's windows grows row by row, as haze over level land does. */
  @Test
  void hazeIsClearedOnceAndOnlyInTheView() {
    PreviewSession session = session(ROOM);
    Recipe bare = FirstVersion.evenBlend(ROOM.frames());
    Proposal none = FirstVersion.propose("Air", bare, session);
    assertThat(none.recipe()).isEqualTo(bare);
    assertThat(none.said()).contains("region");
    Recipe windows = FirstVersion.propose("Windows", bare, session).recipe();
    Recipe air = FirstVersion.propose("Air", windows, session).recipe();
    Pass pass = air.passes().get(air.passes().size() - 1);
    assertThat(pass.move()).isInstanceOf(ClearHaze.class);
    assertThat(pass.why()).contains("% of the view");
    assertThat(pass.where()).isEqualTo(new Where("window-panes", false));
    assertThat(FirstVersion.propose("Air", air, session).recipe()).isEqualTo(air);
  }

  @Test
  void whereNothingIsProposedItSaysWhy() {
    PreviewSession session = session(ROOM);
    Recipe bare = FirstVersion.evenBlend(ROOM.frames());
    Recipe toned = FirstVersion.propose("Tone", bare, session).recipe();
    for (int k = 0; k < 6; k++) {
      toned = FirstVersion.propose("Tone", toned, session).recipe();
    }
    Proposal last = FirstVersion.propose("Tone", toned, session);
    assertThat(last.recipe()).as("nothing is left to be done").isEqualTo(toned);
    assertThat(last.said()).isNotBlank();
    assertThatThrownBy(() -> FirstVersion.propose("Frames", bare, session))
        .hasMessageContaining("Frames");
  }
}
