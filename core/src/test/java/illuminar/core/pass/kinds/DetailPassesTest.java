package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Lab;
import illuminar.core.picture.Picture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Passes on detail, hue and glow. */
class DetailPassesTest {
  /** Local contrast has no halo: beside an edge the wall is no lighter than farther off. */
  @ParameterizedTest
  @ValueSource(doubles = {60, 100, -60})
  void localContrastLeavesNoHaloBesideAnEdge(double contrast) {
    Picture before = Painted.picture(Painted.CORNER);
    Picture after = Painted.picture(Painted.CORNER, new Detail(contrast, 0, 0));
    double far = Painted.stops(after, 220, 80) - Painted.stops(before, 220, 80);
    for (int x = 123; x < 150; x += 6) {
      assertThat(Painted.stops(after, x, 80) - Painted.stops(before, x, 80))
          .isCloseTo(far, within(0.12));
    }
  }

  @Test
  void fineDetailRaisesTextureAndSoftensBelowNothing() {
    double before =
        Math.abs(
            Painted.stops(Painted.picture(Painted.CORNER), 60, 81)
                - Painted.stops(Painted.picture(Painted.CORNER), 63, 81));
    Picture crisp = Painted.picture(Painted.CORNER, new Detail(0, 0, 80));
    Picture soft = Painted.picture(Painted.CORNER, new Detail(0, 0, -80));
    assertThat(Math.abs(Painted.stops(crisp, 61, 82) - Painted.stops(crisp, 64, 82)))
        .isGreaterThan(1.2 * before);
    assertThat(Math.abs(Painted.stops(soft, 61, 82) - Painted.stops(soft, 64, 82)))
        .isLessThan(0.8 * before);
  }

  /** CRAFT: greens saturation down by about 45 %, and darker; hue angles of CIE 15. */
  @Test
  void aHueBandChangesItsOwnHuesAlone() {
    Picture before = Painted.picture(Painted.COLOURS);
    double hue =
        Math.toDegrees(
            Math.atan2(Painted.lab(before, 24, 50).b(), Painted.lab(before, 24, 50).a()));
    Picture after = Painted.picture(Painted.COLOURS, new HueBand(hue, 40, 0.55, -4, 0));
    assertThat(Painted.lab(after, 24, 50).chroma() / Painted.lab(before, 24, 50).chroma())
        .isCloseTo(0.55, within(0.01));
    assertThat(Painted.lab(after, 24, 50).l())
        .isCloseTo(Painted.lab(before, 24, 50).l() - 4, within(0.1));
    for (int k : new int[] {1, 3, 4}) {
      assertThat(
              Painted.lab(after, 24 + 48 * k, 50).difference(Painted.lab(before, 24 + 48 * k, 50)))
          .as("patch %d", k)
          .isLessThan(0.1);
    }
    Picture turned = Painted.picture(Painted.COLOURS, new HueBand(hue, 40, 1, 0, 20));
    Lab t = Painted.lab(turned, 24, 50);
    assertThat(Math.toDegrees(Math.atan2(t.b(), t.a()))).isCloseTo(hue + 20, within(0.5));
  }

  @Test
  void aWashGivesGreyItsColourAndKeepsLightness() {
    Picture before = Painted.picture(Painted.COLOURS);
    Picture after = Painted.picture(Painted.COLOURS, new Wash(75, 20, 1));
    Lab grey = Painted.lab(after, 216, 50);
    assertThat(grey.chroma()).isCloseTo(20, within(0.2));
    assertThat(Math.toDegrees(Math.atan2(grey.b(), grey.a()))).isCloseTo(75, within(0.5));
    for (int k = 0; k < 5; k++) {
      assertThat(Painted.lab(after, 24 + 48 * k, 50).l())
          .isCloseTo(Painted.lab(before, 24 + 48 * k, 50).l(), within(0.1));
    }
  }

  @Test
  void aGlowIsWarmerLighterAndSofter() {
    Picture before = Painted.picture(Painted.CORNER);
    Picture after = Painted.picture(Painted.CORNER, new Glow(0.4, 30, 0.5));
    assertThat(Painted.stops(after, 200, 80) - Painted.stops(before, 200, 80)).isBetween(0.2, 0.6);
    assertThat(Painted.lab(after, 200, 80).b()).isGreaterThan(Painted.lab(before, 200, 80).b() + 5);
    double texture = Math.abs(Painted.stops(before, 60, 81) - Painted.stops(before, 63, 81));
    assertThat(Math.abs(Painted.stops(after, 60, 81) - Painted.stops(after, 63, 81)))
        .isLessThan(0.75 * texture);
  }
}
