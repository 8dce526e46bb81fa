package illuminar.core.first;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.GardenRoom;
import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ShowView;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Picture;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.part.Glazing;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.core.watch.NewLines;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Windows whose view lies partly in the room's own range, and fronts in the sun: first, do no harm.
 * Our own rules, no source.
 */
class ViewByOneCurveTest {
  private static final Analysis ROOM = GardenRoom.room();

  private static PreviewSession session(Analysis analysis) {
    return new PreviewSession(analysis, new RenderCache(100_000_000));
  }

  @Test
  void aViewThatNoFrameHoldsApartIsShownByOneCurve() {
    PreviewSession session = session(ROOM);
    Recipe ground = FirstVersion.evenBlend(ROOM.frames());
    Proposal proposal = FirstVersion.propose("Windows", ground, session);
    assertThat(proposal.recipe().passes())
        .extracting(Pass::move)
        .hasAtLeastOneElementOfType(ShowView.class);
    assertThat(proposal.recipe().passes()).noneMatch(p -> p.move() instanceof BringFrame);
    assertThat(proposal.recipe().regions())
        .anyMatch(r -> r.parts().get(0).shape() instanceof Glazing);
    assertThat(proposal.said()).contains("one curve");
    double before = Evenness.of(ground, session);
    double after = Evenness.of(proposal.recipe(), session);
    assertThat(after).isLessThan(before).isLessThan(0.06);
  }

  /** By the scene's own light: every pair of pixels of the view keeps its order of tones. */
  @Test
  void theViewIsNoPatchwork() {
    PreviewSession session = session(ROOM);
    Recipe made =
        FirstVersion.propose("Windows", FirstVersion.evenBlend(ROOM.frames()), session).recipe();
    Picture shown = session.picture(made, ROOM.raster());
    int wrong = 0;
    int all = 0;
    for (int k = 0; k < 4000; k++) {
      int[] a = place(k);
      int[] b = place(k + 7919);
      double la = GardenRoom.light(a[0], a[1], 1);
      double lb = GardenRoom.light(b[0], b[1], 1);
      if (GardenRoom.glass(a[0], a[1]) && GardenRoom.glass(b[0], b[1]) && la > 1.3 * lb) {
        all++;
        float ta = shown.luminanceAt(a[1] * shown.width() + a[0]);
        float tb = shown.luminanceAt(b[1] * shown.width() + b[0]);
        wrong += ta <= tb ? 1 : 0;
      }
    }
    assertThat(all).isGreaterThan(500);
    assertThat(wrong).isLessThanOrEqualTo(all / 100);
  }

  private static int[] place(int k) {
    int[] glass = GardenRoom.glass();
    return new int[] {
      glass[0] + 4 + (k * 131) % (glass[2] - glass[0] - 8),
      glass[1] + 4 + (k * 53) % (glass[3] - glass[1] - 8)
    };
  }

  @Test
  void panesThatAreHeldApartAreBroughtInFromOneFrame() {
    Analysis plain = new TestRoom(900, 600).analysis();
    Recipe made =
        FirstVersion.propose("Windows", FirstVersion.evenBlend(plain.frames()), session(plain))
            .recipe();
    assertThat(made.passes()).anyMatch(p -> p.move() instanceof BringFrame);
  }

  /** A front in the sun: no pane, no cast taken out, no stops of shadows lifted. */
  @Test
  void aFrontInTheSunIsLeftInItsLight() {
    Analysis front = GardenRoom.analysis(GardenRoom::front, 1, 1);
    assertThat(Outdoors.seen(front)).isTrue();
    Recipe made = FirstVersion.of(session(front));
    assertThat(made.passes()).noneMatch(p -> p.move() instanceof BringFrame);
    assertThat(made.passes()).noneMatch(p -> p.move() instanceof ShowView);
    made.passes().stream()
        .map(Pass::move)
        .filter(Tone.class::isInstance)
        .map(Tone.class::cast)
        .forEach(
            tone -> {
              assertThat(tone.exposure()).isBetween(-0.3, 0.3);
              assertThat(tone.shadows()).isLessThanOrEqualTo(12);
              assertThat(tone.midtones()).isZero();
            });
    Proposal casts = FirstVersion.propose("Colour", made, session(front));
    assertThat(casts.said()).contains("Outside");
    assertThat(casts.recipe()).isEqualTo(made);
  }

  @Test
  void evennessOfOneFrameIsNought() {
    PreviewSession session = session(ROOM);
    Recipe one = new Recipe(new Ground.OneFrame("f-2"), List.of(), List.of());
    assertThat(Evenness.of(one, session)).isLessThan(0.06);
  }

  /**
   * White walls are brought to white by one curve; so is the view, since the frame about it would
   * have lines if the view were kept darker.
   */
  @Test
  void theRoomIsExposedByItsWhiteWallsAndDrawsNoLineAboutTheView() {
    Recipe made = FirstVersion.of(session(ROOM));
    assertThat(made.passes())
        .filteredOn(p -> p.id().startsWith("tone"))
        .singleElement()
        .satisfies(p -> assertThat(p.where()).isEqualTo(Where.EVERYWHERE))
        .satisfies(p -> assertThat(p.why()).contains("lines would show along the window frame"));
    assertThat(new NewLines(ROOM).count(session(ROOM), made, "tone")).isZero();
    Seen seen = Seen.of(made, session(ROOM));
    double[] white =
        seen.nearlyNeutral(Integer.MAX_VALUE).stream().mapToDouble(l -> l.l()).sorted().toArray();
    assertThat(white[(int) (0.9 * white.length)]).isBetween(80.0, 95.0);
  }

  /** By none of its own measures is a first version worse than the ground that it stands on. */
  @Test
  void aFirstVersionIsNoWorseThanItsGround() {
    for (Analysis room : List.of(ROOM, new TestRoom(900, 600).analysis())) {
      PreviewSession session = session(room);
      Recipe made = FirstVersion.of(session);
      Recipe ground = new Recipe(made.ground(), made.regions(), List.of());
      assertThat(Evenness.of(made, session)).isLessThan(Evenness.of(ground, session) + 0.01);
      Seen.Done done = Seen.of(ground, session).doneBy(Seen.of(made, session));
      assertThat(done.neutral()).isLessThan(done.was() + 0.5);
      assertThat(done.coloured()).isGreaterThan(Seen.Done.KEPT);
    }
  }

  /** A view that is not exposed with its room has lines along its frame. */
  @Test
  void theViewIsExposedSoThatNoLineShowsBesideTheRoom() {
    Analysis room = new TestRoom(900, 600).analysis();
    PreviewSession session = session(room);
    Recipe made = FirstVersion.of(session);
    assertThat(made.passes()).extracting(Pass::id).contains("tone-view");
    NewLines lines = new NewLines(room);
    assertThat(lines.count(session, made, "")).isZero();
    Recipe dark = made.withPasses(without(made, "tone-view"));
    assertThat(lines.count(session, dark, "")).as("the view not exposed").isPositive();
  }

  private static List<Pass> without(Recipe recipe, String id) {
    return recipe.passes().stream().filter(p -> !p.id().equals(id)).toList();
  }
}
