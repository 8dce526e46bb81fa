package illuminar.core.pass.kinds;

import static illuminar.core.pass.kinds.Lit.MIXED;
import static illuminar.core.pass.kinds.Lit.W;
import static illuminar.core.pass.kinds.Lit.frame;
import static illuminar.core.pass.kinds.Lit.picture;
import static illuminar.core.pass.kinds.Lit.view;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** White, haze and evening out on invented scenes whose light is known at every pixel. */
class ColourPassesTest {
  @Test
  void nothingAskedForChangesNothing() {
    Picture before = picture(MIXED);
    Picture after =
        picture(
            MIXED,
            Balance.NONE,
            new Colour(0, 0, 1),
            new ClearCasts(Casts.Source.FLASH, "fl", 0, 0.5),
            new ClearHaze(0, 1, 1, 0),
            new EvenOut(0, 0.05));
    for (int i = 0; i < before.r().length; i += 17) {
      assertThat(after.r()[i]).isCloseTo(before.r()[i], within(1e-4f));
      assertThat(after.b()[i]).isCloseTo(before.b()[i], within(1e-4f));
    }
  }

  /**
   * Saturation 0 leaves the luminance alone (its definition); light is the relation of ISO 2720.
   */
  @Test
  void balanceIsItsFormula() {
    Picture before = picture(MIXED);
    Picture grey = picture(MIXED, new Balance(0, 0, 0, 0));
    Picture up = picture(MIXED, new Balance(1, 0, 0, 1));
    for (int i = 11; i < before.r().length; i += 997) {
      assertThat(grey.luminanceAt(i)).isCloseTo(before.luminanceAt(i), within(1e-5f));
      assertThat(grey.r()[i]).isCloseTo(grey.b()[i], within(1e-5f));
      assertThat(up.g()[i]).isCloseTo(2 * before.g()[i], within(1e-5f));
    }
  }

  /** A wall lit from one side with a fine pattern: the fall-off goes, the pattern stays. */
  @Test
  void evenOutTakesTheFallOffAndLeavesTexture() {
    Lit.Scene wall =
        (x, y, c) -> {
          double light = 0.5 / (1 + Math.pow(x / 120.0, 2));
          double pattern = (x / 2 + y / 2) % 2 == 0 ? 1.08 : 0.92;
          return light * pattern;
        };
    Analysis view = view(frame("a", Role.AMBIENT, wall));
    Picture before = picture(view);
    Picture after = picture(view, new EvenOut(1, 0.05));
    assertThat(fall(after)).isLessThan(0.2 * fall(before));
    assertThat(pattern(after)).isCloseTo(pattern(before), within(0.05 * pattern(before)));
  }

  private static double fall(Picture p) {
    return Math.abs(tone(p, 30) - tone(p, 260));
  }

  private static double tone(Picture p, int x) {
    double sum = 0;
    for (int y = 60; y < 140; y++) {
      for (int u = x; u < x + 8; u++) {
        sum += Stops.of(p.luminanceAt(y * W + u));
      }
    }
    return sum / 640;
  }

  private static double pattern(Picture p) {
    double sum = 0;
    for (int y = 60; y < 140; y++) {
      for (int x = 100; x < 200; x++) {
        int i = y * W + x;
        sum += Math.abs(Stops.of(p.luminanceAt(i)) - Stops.of(p.luminanceAt(i + 2)));
      }
    }
    return sum;
  }

  /**
   * A band's share by its definition: the angle h*ab from the middle of the band (CIE 15:2004),
   * faded over the outer half, and over chroma from 4 to 12.
   */
  @Test
  void aHueBandIsTheAngleFromItsMiddle() {
    HueBand band = new HueBand(350, 40, 0.5, 0, 0);
    Random random = new Random(8);
    for (int k = 0; k < 2000; k++) {
      double a = random.nextDouble() * 120 - 60;
      double b = random.nextDouble() * 120 - 60;
      double angle = Math.toDegrees(Math.atan2(b, a));
      double away = Math.abs(Math.IEEEremainder(angle - 350, 360));
      double fade = soft((1 - away / 40) / 0.5) * soft((Math.hypot(a, b) - 4) / 8);
      assertThat((double) band.share(a, b)).isCloseTo(fade, within(1e-4));
    }
    assertThat(band.share(3, 0)).isZero();
  }

  private static double soft(double t) {
    double x = Math.max(0, Math.min(1, t));
    return x * x * (3 - 2 * x);
  }

  /** Nothing turned, nothing changed: L*a*b* and back through tables is the colour itself. */
  @Test
  void labAndBackThroughTheTableIsTheColour() {
    Picture before = picture(MIXED);
    Picture after = picture(MIXED, new HueBand(40, 180, 1, 0, 0));
    for (int i = 0; i < before.r().length; i += 13) {
      assertThat(after.r()[i]).isCloseTo(before.r()[i], within(2e-5f));
      assertThat(after.g()[i]).isCloseTo(before.g()[i], within(2e-5f));
      assertThat(after.b()[i]).isCloseTo(before.b()[i], within(2e-5f));
    }
  }
}
