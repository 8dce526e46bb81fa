package illuminar.core.pass.kinds;

import static illuminar.core.pass.kinds.Lit.MIXED;
import static illuminar.core.pass.kinds.Lit.W;
import static illuminar.core.pass.kinds.Lit.frame;
import static illuminar.core.pass.kinds.Lit.lab;
import static illuminar.core.pass.kinds.Lit.mixed;
import static illuminar.core.pass.kinds.Lit.paint;
import static illuminar.core.pass.kinds.Lit.picture;
import static illuminar.core.pass.kinds.Lit.view;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import org.junit.jupiter.api.Test;

/** Casts cleared on invented scenes whose light is known at every pixel. */
class ClearCastsTest {
  /**
   * Eisemann and Durand 2004: the flash's light tells what the mixed light does to each surface.
   */
  @Test
  void castsToldByFlashLeaveTheWallsGreyAndTheBookRed() {
    Picture before = picture(MIXED);
    Picture after = picture(MIXED, new ClearCasts(Casts.Source.FLASH, "fl", 1, 0));
    assertThat(lab(before, 20, 60).chroma()).isGreaterThan(15);
    for (int x : new int[] {20, 90, 160, 280}) {
      assertThat(lab(after, x, 60).chroma()).as("wall at %d", x).isLessThan(3);
      assertThat(lab(after, x, 60).l()).isCloseTo(lab(before, x, 60).l(), within(1.0));
    }
    // the book under as much white light
    int i = 120 * W + 205;
    double y =
        0.2126 * paint(205, 120, 0) + 0.7152 * paint(205, 120, 1) + 0.0722 * paint(205, 120, 2);
    double k = before.luminanceAt(i) / y;
    double[] work =
        Space.SRGB_TO_WORK.apply(
            k * paint(205, 120, 0), k * paint(205, 120, 1), k * paint(205, 120, 2));
    Lab should = Lab.ofWork(work[0], work[1], work[2]);
    assertThat(lab(after, 205, 120).difference(should)).isLessThan(3);
  }

  /**
   * Light adds up, so a surface's own colour cancels out between a frame with the lamps and one
   * without: what is left is how the lamps' colour differs from daylight's (after Eisemann and
   * Durand 2004, the lamps in the flash's place).
   */
  @Test
  void castsToldByTheRoomWithoutLampsLeaveEveryPaintAlone() {
    double[] day = {0.42, 0.44, 0.46};
    double[] lamp = {0.5, 0.33, 0.14};
    Analysis lit =
        view(
            frame(
                "a",
                Role.AMBIENT,
                (x, y, c) -> paint(x, y, c) * (0.6 * day[c] + lamp[c] * (1 - x / (double) W))),
            frame("off", Role.LAMPS_OFF, (x, y, c) -> paint(x, y, c) * 0.6 * day[c]));
    Picture before = picture(lit);
    Picture after = picture(lit, new ClearCasts(Casts.Source.LIGHTS, "off", 1, 0));
    assertThat(lab(before, 20, 60).chroma()).isGreaterThan(14);
    for (int x : new int[] {20, 90, 160, 280}) {
      assertThat(lab(after, x, 60).chroma()).as("wall at %d", x).isLessThan(3);
    }
    // the book as under daylight alone, made as bright
    double[] lone = new double[3];
    for (int c = 0; c < 3; c++) {
      lone[c] = paint(205, 120, c) * day[c] / day[1];
    }
    double k =
        before.luminanceAt(120 * W + 205)
            / (0.2126 * lone[0] + 0.7152 * lone[1] + 0.0722 * lone[2]);
    double[] work = Space.SRGB_TO_WORK.apply(k * lone[0], k * lone[1], k * lone[2]);
    Lab should = Lab.ofWork(work[0], work[1], work[2]);
    assertThat(lab(after, 205, 120).difference(should)).isLessThan(4);
    assertThatThrownBy(() -> picture(lit, new ClearCasts(Casts.Source.LIGHTS, "a", 1, 0)))
        .hasMessageContaining("lamps off");
  }

  /** Boards in the sun, which outshines the flash: nothing tells of the light on them. */
  @Test
  void castsToldByFlashLeaveAloneWhatTheFlashHardlyReaches() {
    double[] wood = {0.6, 0.42, 0.24};
    Lit.Scene scene =
        (x, y, c) ->
            y < 120 ? 0.6 * mixed(150, c) : wood[c] * (0.9 + 0.08 * Math.sin(x * 0.9 + y * 0.2));
    Analysis sunny =
        view(
            frame("a", Role.AMBIENT, scene),
            frame(
                "fl",
                Role.FLASH,
                (x, y, c) -> scene.light(x, y, c) + (y < 120 ? 0.6 * 0.3 : wood[c] * 0.03)));
    Picture before = picture(sunny);
    Picture after = picture(sunny, new ClearCasts(Casts.Source.FLASH, "fl", 1, 0));
    assertThat(lab(after, 150, 60).chroma()).isLessThan(3);
    assertThat(lab(after, 150, 170).difference(lab(before, 150, 170))).isLessThan(2);
  }

  @Test
  void castsToldBySurfacesLeaveColouredThingsAlone() {
    Picture before = picture(MIXED);
    Picture after = picture(MIXED, new ClearCasts(Casts.Source.SURFACES, "", 1, 0));
    assertThat(lab(after, 200, 40).chroma()).isLessThan(lab(before, 200, 40).chroma());
    assertThat(lab(after, 205, 120).difference(lab(before, 205, 120))).isLessThan(2);
    assertThatThrownBy(() -> picture(MIXED, new ClearCasts(Casts.Source.FLASH, "", 1, 0)))
        .hasMessageContaining("need a flash frame");
  }
}
