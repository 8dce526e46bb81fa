package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Numbers;
import illuminar.core.first.FirstVersion;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.recipe.Sentence;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.FloatRange;
import org.junit.jupiter.api.Test;

class PassTest {
  private static final TestRoom ROOM = new TestRoom(360, 240);
  private static final Analysis ANALYSIS = ROOM.analysis();

  private static Picture render(Recipe recipe) {
    return new PreviewSession(ANALYSIS, new RenderCache(50_000_000))
        .picture(recipe, Raster.whole(360, 240, 1));
  }

  /** The ground and the windows as the product proposes them. */
  private static Recipe windows() {
    PreviewSession session = new PreviewSession(ANALYSIS, new RenderCache(50_000_000));
    return FirstVersion.propose("Windows", FirstVersion.evenBlend(ANALYSIS.frames()), session)
        .recipe();
  }

  private static Recipe tone(Tone tone) {
    Pass pass = new Pass("t", true, tone, Where.EVERYWHERE, Gate.ALL, 1, "");
    return new Recipe(new Ground.OneFrame("a1"), List.of(), List.of(pass));
  }

  /** One stop is twice the light. Source: ISO 2720. */
  @Test
  void oneStopOfExposureDoublesLight() {
    Picture before = render(tone(Tone.NONE));
    Picture after = render(tone(new Tone(1, 0, 0, 0)));
    for (int i = 0; i < before.g().length; i += 53) {
      assertThat(after.g()[i]).isCloseTo(2 * before.g()[i], within(1e-4f * (1 + before.g()[i])));
    }
  }

  @Property
  void contrastLeavesMidGreyAlone(@ForAll @FloatRange(min = -100, max = 100) float contrast) {
    float grey = Stops.of(0.18f);
    assertThat(Tone.gain(new Tone(0, contrast, 0, 0), grey, grey)).isCloseTo(0, within(0.002f));
  }

  /** More light in never gives less light out. */
  @Property
  void toneNeverTurnsRoundTheOrderOfTones(
      @ForAll @FloatRange(min = -100, max = 100) float contrast,
      @ForAll @FloatRange(min = -100, max = 100) float highlights,
      @ForAll @FloatRange(min = -100, max = 100) float shadows) {
    Tone tone = new Tone(0, contrast, highlights, shadows);
    float last = -100;
    for (float s = -12; s <= 0; s += 0.25f) {
      float out = s + Tone.gain(tone, s, s);
      assertThat(out).isGreaterThanOrEqualTo(last - 0.02f);
      last = out;
    }
  }

  /**
   * Lifting the darks must not turn the deepest tones to mud: CRAFT.md asks for held deep tones;
   * the curve's slope there stays at least 0.8 when shadows rise. Common practice, no source.
   */
  @Test
  void deepestTonesKeepTheirSlope() {
    Tone lift = new Tone(0, 0, 0, 60);
    for (float s = -11; s < -7; s += 0.5f) {
      float slope =
          (s + 0.5f + Tone.gain(lift, s + 0.5f, s + 0.5f) - s - Tone.gain(lift, s, s)) / 0.5f;
      assertThat(slope).isGreaterThan(0.8f);
    }
  }

  @Test
  void toneKeepsTheRatiosOfColour() {
    Picture before = render(tone(Tone.NONE));
    Picture after = render(tone(new Tone(0.5, 30, -40, 50)));
    for (int i = 0; i < before.g().length; i += 71) {
      assertThat(after.r()[i] / after.g()[i])
          .isCloseTo(before.r()[i] / before.g()[i], within(1e-3f));
    }
  }

  @Test
  void aGateIsATrapezoid() {
    Gate gate = new Gate(-6, -4, -2, -1);
    assertThat(gate.open(-7)).isZero();
    assertThat(gate.open(-5)).isCloseTo(0.5f, within(1e-6f));
    assertThat(gate.open(-3)).isEqualTo(1);
    assertThat(gate.open(-1.5f)).isCloseTo(0.5f, within(1e-6f));
    assertThat(gate.open(0)).isZero();
    assertThat(Gate.ALL.open(-16)).isEqualTo(1);
    assertThatThrownBy(() -> new Gate(0, -1, 0, 1)).hasMessageContaining("rise");
  }

  /** The window pass: the view stands where it is told to, and bars are as bright as without it. */
  @Test
  void theViewStandsOverTheRoomByTheStopsAskedFor() {
    Recipe first = windows();
    Pass window = view(first);
    double low = mean(render(over(first, window, 0)));
    double high = mean(render(over(first, window, 1)));
    assertThat(high - low).isBetween(0.6, 1.2);
  }

  private static Pass view(Recipe recipe) {
    return recipe.passes().stream()
        .filter(p -> p.move() instanceof BringFrame)
        .findFirst()
        .orElseThrow();
  }

  private static Recipe over(Recipe first, Pass window, double stops) {
    BringFrame move = (BringFrame) window.move();
    return first.withPasses(
        List.of(
            new Pass(
                "w",
                true,
                new BringFrame(move.frame(), stops, move.edge()),
                window.where(),
                Gate.ALL,
                1,
                "")));
  }

  private static double mean(Picture p) {
    double sum = 0;
    int n = 0;
    for (int y = 60; y < 95; y++) {
      for (int x = 120; x < 170; x++) {
        int i = y * 360 + x;
        sum += Stops.of(Space.luminance(p.r()[i], p.g()[i], p.b()[i]));
        n++;
      }
    }
    return sum / n;
  }

  /**
   * No bright rim: beside the pane the picture is no brighter than the wall a little farther off.
   */
  @Test
  void noRimIsLeftBesideThePanes() {
    Picture p = render(windows());
    double left = 360 * 0.30;
    for (int y = 70; y < 95; y++) {
      float wall = p.g()[y * 360 + (int) left - 8];
      for (int d = 1; d <= 5; d++) {
        assertThat(p.g()[y * 360 + (int) left - d])
            .as("%d px outside", d)
            .isLessThan(wall * 1.35f + 0.02f);
      }
    }
  }

  @Test
  void firstRecipeFindsTheWindowAndSaysWhy() {
    Recipe first = windows();
    assertThat(view(first).why()).contains("4 panes");
    assertThat(Sentence.of(view(first), first, id -> "window frame −4"))
        .isEqualTo("Show window frame −4 in Window panes, 0.9 stops brighter than the room.");
  }

  @Test
  void historySaysWhatChanged() {
    Recipe a = tone(Tone.NONE);
    assertThat(Sentence.change(a, tone(new Tone(-0.5, 0, 0, 0))))
        .isEqualTo("tone: exposure -0.50 st");
    assertThat(Sentence.change(a, a.withPasses(List.of()))).isEqualTo("tone removed");
    assertThat(Sentence.change(a.withPasses(List.of()), a)).isEqualTo("tone added");
    assertThat(Sentence.change(a, a)).isEqualTo("nothing changed");
  }

  @Test
  void everyKindIsInTheCatalogueWithItsControls() {
    for (PassKind kind : Catalogue.kinds()) {
      for (Numbers.NumberControl n : kind.controls()) {
        assertThat(n.defaultValue()).isBetween(n.from(), n.to());
        assertThat(n.step()).isPositive();
      }
    }
  }

  @Test
  void valuesOutOfRangeAreRefusedByName() {
    assertThatThrownBy(() -> new Tone(9, 0, 0, 0))
        .hasMessageContaining("Exposure")
        .hasMessageContaining("−5");
    assertThatThrownBy(() -> new BringFrame("w", 0, 99)).hasMessageContaining("Edge width");
    assertThatThrownBy(() -> new Pass("p", true, Tone.NONE, Where.EVERYWHERE, Gate.ALL, 2, ""))
        .hasMessageContaining("strength");
    Pass lost = new Pass("p", true, Tone.NONE, new Where("gone", false), Gate.ALL, 1, "");
    assertThatThrownBy(() -> new Recipe(new Ground.OneFrame("a1"), List.of(), List.of(lost)))
        .hasMessageContaining("not there");
  }
}
