package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Blend;
import illuminar.core.colour.Lab;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Single lights: light adds up, so what is mixed must equal what a camera would have seen
 * (Petschnigg et al. 2004). The scene is invented, its lights known at every pixel.
 */
class LightsTest {
  private static final int W = 180;
  private static final int H = 120;
  private static final Raster WHOLE = Raster.whole(W, H, 1);

  private static double day(int x, int y, int c) {
    return (0.10 + 0.06 * Math.sin(x * 0.11) * Math.cos(y * 0.07)) * (1 + 0.1 * c);
  }

  private static double lamp(int x, int y, int c) {
    double d = Math.hypot(x - 40, y - 50) / 60;
    return 0.25 / (1 + 3 * d * d) * (c == 0 ? 1.3 : c == 1 ? 0.8 : 0.35);
  }

  private static double flash(int x) {
    return 0.2 * (0.3 + x / (double) W);
  }

  private static Frame frame(
      String id, Role role, double stops, double day, double lamp, double flash) {
    return TestRoom.frame(
        id,
        role,
        stops,
        W,
        H,
        (x, y, c) -> day * day(x, y, c) + lamp * lamp(x, y, c) + flash * flash(x));
  }

  private static Frames frames(Frame... more) {
    List<Frame> all =
        new ArrayList<>(
            List.of(
                frame("a", Role.AMBIENT, 0, 1, 1, 0),
                frame("dark", Role.AMBIENT, -2, 1, 1, 0),
                frame("bright", Role.AMBIENT, 2, 1, 1, 0)));
    all.addAll(List.of(more));
    return new Frames(all, "a", TestRoom.response());
  }

  private static final Analysis ROOM =
      new Analysis(
          frames(frame("off", Role.LAMPS_OFF, 0, 1, 0, 0), frame("fl", Role.FLASH, 0, 1, 1, 1)));

  private static Picture picture(Move... moves) {
    List<Pass> passes = new ArrayList<>();
    for (Move m : moves) {
      passes.add(new Pass("p" + passes.size(), true, m, Where.EVERYWHERE, Gate.ALL, 1, ""));
    }
    Recipe recipe = new Recipe(new Ground.OneFrame("a"), List.of(), passes);
    return new PreviewSession(ROOM, new RenderCache(20_000_000)).picture(recipe, WHOLE);
  }

  private static Picture shown(String frame) {
    return new PreviewSession(ROOM, new RenderCache(20_000_000)).frame(frame, WHOLE);
  }

  private static double apart(Picture a, Picture b) {
    return Apart.within(a, b, 0, 0, a.width(), a.height(), 1);
  }

  @Test
  void aFlashMixedAtItsOwnStrengthIsTheFlashFrame() {
    assertThat(apart(picture(new MixLight("fl", "a", 0, 0, 0)), shown("fl"))).isLessThan(0.4);
    assertThat(apart(picture(new MixLight("fl", "a", -6, 0, 0)), shown("a"))).isLessThan(0.05);
  }

  @Test
  void lampsMixedOutLeaveTheLampsOffFrame() {
    assertThat(apart(picture(new MixLight("a", "off", -6, 0, 0)), shown("off"))).isLessThan(0.4);
    assertThat(apart(picture(new MixLight("a", "off", 0, 0, 0)), shown("a"))).isLessThan(0.05);
  }

  /** One stop more lamp is the frame in which the lamp alone is twice as bright; from 8 bits. */
  @Test
  void aLampAStopUpIsTwiceTheLamp() {
    Frame twice = frame("twice", Role.AMBIENT, 0, 1, 2, 0);
    Picture expected =
        new PreviewSession(new Analysis(frames(twice)), new RenderCache(1 << 20))
            .frame("twice", WHOLE);
    assertThat(apart(picture(new MixLight("a", "off", 1, 0, 0)), expected)).isLessThan(1.0);
  }

  @Test
  void aLightsColourChangesOnlyWhereItShines() {
    Picture plain = shown("a");
    Picture warm = picture(new MixLight("a", "off", 0, -60, 0));
    int near = 50 * W + 40;
    int far = 110 * W + 175;
    double there = blueness(warm, near) - blueness(plain, near);
    double away = blueness(warm, far) - blueness(plain, far);
    assertThat(there).as("cooler at the lamp").isGreaterThan(4);
    assertThat(away).isBetween(-0.1, 0.35 * there);
  }

  private static double blueness(Picture p, int i) {
    return -Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]).b();
  }

  @Test
  void offersNameWhatCanBeHadAndWhyNot() {
    List<LightsApart.Offer> offers = LightsApart.of(ROOM);
    assertThat(offers)
        .extracting(LightsApart.Offer::name)
        .containsExactly("Flash, right", "Lamps", "Daylight");
    assertThat(offers).allMatch(LightsApart.Offer::usable);
    Analysis odd =
        new Analysis(
            frames(
                frame("fl", Role.FLASH, 1, 1, 1, 1), frame("off", Role.LAMPS_OFF, 0, 1.6, 0, 0)));
    List<LightsApart.Offer> refused = LightsApart.of(odd);
    assertThat(refused.get(0).usable()).isFalse();
    assertThat(refused.get(0).said()).contains("settings");
    assertThat(refused.get(1).usable()).isFalse();
    assertThat(refused.get(1).said()).contains("moved");
    assertThat(LightsApart.of(new Analysis(frames()))).isEmpty();
  }

  private static LayFrame lay(String frame, Blend mode, double exposure, double saturation) {
    return new LayFrame(frame, mode, exposure, 0, 0, 0, 0, 0, saturation);
  }

  @Test
  void aFrameLaidOverIsThatFrame() {
    assertThat(apart(picture(lay("off", Blend.NORMAL, 0, 1)), shown("off"))).isLessThan(0.05);
    // exposed up by two stops it is the frame that was (the relation of ISO 2720)
    assertThat(apart(picture(lay("dark", Blend.NORMAL, 2, 1)), shown("a"))).isLessThan(0.6);
    Picture grey = picture(lay("a", Blend.NORMAL, 0, 0));
    for (int i = 0; i < W * H; i += 311) {
      assertThat(Lab.ofWork(grey.r()[i], grey.g()[i], grey.b()[i]).chroma()).isLessThan(0.3);
    }
  }

  /** A frame shown in a place and the same frame laid over it are developed alike. */
  @Test
  void aFrameShownInAPlaceIsDevelopedAsOneLaidOver() {
    Picture laid = picture(new LayFrame("dark", Blend.NORMAL, 1.5, 30, -20, -40, 60, 35, 0.7));
    Picture shown = picture(new BringFrame("dark", 1.5, 30, -20, -40, 60, 35, 0.7, 0, 0));
    assertThat(apart(shown, laid)).isLessThan(0.01);
    assertThat(apart(shown, picture(new BringFrame("dark", 1.5, 0)))).isGreaterThan(3);
  }

  @Test
  void warmerAndMagentaGoTheirWays() {
    Picture plain = shown("a");
    Picture warm = picture(new LayFrame("a", Blend.NORMAL, 0, 40, 0, 0, 0, 0, 1));
    Picture magenta = picture(new LayFrame("a", Blend.NORMAL, 0, 0, 60, 0, 0, 0, 1));
    int i = 60 * W + 150;
    Lab before = Lab.ofWork(plain.r()[i], plain.g()[i], plain.b()[i]);
    Lab warmer = Lab.ofWork(warm.r()[i], warm.g()[i], warm.b()[i]);
    Lab pinker = Lab.ofWork(magenta.r()[i], magenta.g()[i], magenta.b()[i]);
    assertThat(warmer.b()).isGreaterThan(before.b() + 3);
    assertThat(pinker.a()).isGreaterThan(before.a() + 3);
    assertThat(warmer.l()).isCloseTo(before.l(), within(3.0));
  }

  /** W3C, Compositing and Blending Level 1: the formulas' own corner cases. */
  @Test
  void blendModesAreThePublishedFormulas() {
    float[] backdrop = {0.2f, 0.5f, 0.9f};
    float[] source = {0.7f, 0.4f, 0.1f};
    assertThat(over(Blend.MULTIPLY, backdrop, new float[] {1, 1, 1})).containsExactly(backdrop);
    assertThat(over(Blend.SCREEN, backdrop, new float[] {0, 0, 0})).containsExactly(backdrop);
    assertThat(over(Blend.SOFT_LIGHT, backdrop, new float[] {.5f, .5f, .5f}))
        .containsExactly(backdrop, within(1e-6f));
    assertThat(over(Blend.LIGHTEN, backdrop, source)).containsExactly(0.7f, 0.5f, 0.9f);
    assertThat(over(Blend.DARKEN, backdrop, source)).containsExactly(0.2f, 0.4f, 0.1f);
    // B − (1 − 2s) B (1 − B) for a dark source; B + (2s − 1)(D(B) − B), D = ((16B−12)B+4)B
    float[] soft = over(Blend.SOFT_LIGHT, backdrop, source);
    assertThat(soft[0]).isCloseTo(0.2f + 0.4f * (0.448f - 0.2f), within(1e-5f));
    assertThat(soft[2]).isCloseTo(0.9f - 0.8f * 0.9f * 0.1f, within(1e-5f));
    float[] luminosity = over(Blend.LUMINOSITY, backdrop, source);
    assertThat(lum(luminosity)).isCloseTo(lum(source), within(1e-5f));
    float[] colour = over(Blend.COLOUR, backdrop, source);
    assertThat(lum(colour)).isCloseTo(lum(backdrop), within(1e-5f));
    for (Blend mode : Blend.values()) {
      for (float v : over(mode, backdrop, source)) {
        assertThat(v).isBetween(-1e-6f, 1 + 1e-6f);
      }
    }
  }

  private static float lum(float[] c) {
    return 0.3f * c[0] + 0.59f * c[1] + 0.11f * c[2];
  }

  private static float[] over(Blend mode, float[] backdrop, float[] source) {
    float[] out = backdrop.clone();
    mode.over(out, source);
    return out;
  }

  @Test
  void blendModesWorkOnThePicture() {
    Picture lightened = picture(lay("fl", Blend.LIGHTEN, 0, 1));
    assertThat(apart(lightened, shown("fl"))).isLessThan(0.1);
    Picture multiplied = picture(lay("a", Blend.MULTIPLY, 0, 1));
    Picture plain = shown("a");
    int i = 60 * W + 90;
    assertThat(multiplied.luminanceAt(i)).isLessThan(plain.luminanceAt(i));
  }

  /** Petschnigg et al. 2004: a share of the flash frame is a mixture of both frames' light. */
  @Test
  void halfFlashIsTheFrameWithHalfTheFlash() {
    Frame half = frame("half", Role.FLASH, 0, 1, 1, 0.5);
    Picture expected =
        new PreviewSession(new Analysis(frames(half)), new RenderCache(1 << 20))
            .frame("half", WHOLE);
    assertThat(apart(picture(new ShareFlash("fl", "a", 0.5, 0, 0, 0)), expected)).isLessThan(0.4);
    assertThat(apart(picture(new ShareFlash("fl", "a", 0, 0, 0, 0)), shown("a"))).isLessThan(0.05);
    assertThat(apart(picture(new ShareFlash("fl", "a", 1, 0, 0, 0)), shown("fl"))).isLessThan(0.4);
  }

  /**
   * Eisemann and Durand 2004: under a white flash grey walls are grey, whatever colour the lamp
   * has; light and dark stay those of the room.
   */
  @Test
  void colourFromFlashTakesTheLampsCastAndLeavesItsLight() {
    Picture plain = shown("a");
    Picture clean = picture(new ShareFlash("fl", "a", 0, 1, 0, 0));
    for (int[] at : new int[][] {{40, 50}, {90, 60}, {150, 30}}) {
      int i = at[1] * W + at[0];
      Lab was = Lab.ofWork(plain.r()[i], plain.g()[i], plain.b()[i]);
      Lab is = Lab.ofWork(clean.r()[i], clean.g()[i], clean.b()[i]);
      assertThat(is.chroma()).as("cast at %d, %d", at[0], at[1]).isLessThan(2.5);
      assertThat(is.l()).isCloseTo(was.l(), within(1.5));
    }
    int lamp = 50 * W + 40;
    assertThat(Lab.ofWork(plain.r()[lamp], plain.g()[lamp], plain.b()[lamp]).chroma())
        .isGreaterThan(10);
  }

  @Test
  void calmAtItsStrengthMixesBackToTheFrame() {
    Pass tone = new Pass("t", true, new Tone(1, 0, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    Pass calm = new Pass("c", true, new Calm("a"), Where.EVERYWHERE, Gate.ALL, 1, "");
    Recipe recipe = new Recipe(new Ground.OneFrame("a"), List.of(), List.of(tone, calm));
    PreviewSession session = new PreviewSession(ROOM, new RenderCache(1 << 20));
    assertThat(apart(session.picture(recipe, WHOLE), shown("a"))).isLessThan(0.05);
    assertThatThrownBy(() -> picture(new Calm("gone"))).hasMessageContaining("gone");
  }
}
