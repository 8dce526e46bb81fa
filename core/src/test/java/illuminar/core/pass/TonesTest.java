package illuminar.core.pass;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.pass.work.TonalGain;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import org.junit.jupiter.api.Test;

/** Gains in stops add up, limited by region, gate and strength. Facts of arithmetic, no source. */
class TonesTest {
  private static final int W = 4;

  private static Tile tile(float[] region, Gate gate, float strength) {
    return new Tile(
        Raster.whole(W, 1, 1),
        Coverage.of(region, W, 1),
        gate,
        strength,
        frame -> Picture.of(W, 1));
  }

  @Test
  void gainsAddUpWithinTheRegion() {
    Tones tones = Tones.of(W);
    tones.stops()[1] = -3;
    Tile half = tile(new float[] {0, 1, 0.5f, 0}, Gate.ALL, 0.5f);
    tones.add(new float[] {2, 2, 2, 2}, half, 0, 0);
    tones.add(new float[] {1, 1, 1, 1}, half, 0, 0);
    assertThat(tones.gain()).containsExactly(0, 1.5f, 0.75f, 0);
    assertThat(tones.stops()[1]).isCloseTo(-1.5f, within(1e-6f));
    assertThat(tones.stops()[0]).isZero();
  }

  @Test
  void aGateLetsOnlyItsTonesThrough() {
    Tones tones = Tones.of(W);
    tones.stops()[1] = -8;
    tones.stops()[2] = -1;
    Gate lights = new Gate(-2.5, -2, 0, 0.5);
    tones.add(new float[] {1, 1, 1, 1}, tile(new float[] {1, 1, 1, 1}, lights, 1), 0, 0);
    assertThat(tones.gain()[1]).isZero();
    assertThat(tones.gain()[2]).isCloseTo(1, within(1e-5f));
  }

  @Test
  void copiesAreTheirOwn() {
    Tones one = Tones.of(W);
    Tones two = one.copy();
    two.gain()[0] = 1;
    two.stops()[0] = 1;
    assertThat(one.gain()[0]).isZero();
    assertThat(one.stops()[0]).isZero();
  }

  /** Names say where each acts: lights at the top, darks at the bottom, midtones at mid grey. */
  @Test
  void eachToneControlActsWhereItsNameSays() {
    assertThat(TonalGain.light(0)).as("white").isGreaterThan(0.95f);
    assertThat(TonalGain.light(-3)).as("below the lights").isZero();
    assertThat(TonalGain.dark(-1.5f)).as("lights").isZero();
    assertThat(TonalGain.dark(-6)).as("a dark corner").isEqualTo(1);
    assertThat(TonalGain.held(-5)).as("no deep tone").isEqualTo(1);
    assertThat(TonalGain.held(-12)).as("the deepest").isCloseTo(0.25f, within(1e-6f));
    float grey = (float) (Math.log(0.18) / Math.log(2));
    assertThat(TonalGain.middle(grey)).isCloseTo(0.01f, within(1e-6f));
    assertThat(TonalGain.middle(grey + 1.8f)).isCloseTo(0.0025f, within(1e-5f));
    assertThat(TonalGain.middle(grey - 1.8f)).isCloseTo(0.0025f, within(1e-5f));
  }

  /** Curves neither jump nor turn round: a lift of the darks never swaps two tones. */
  @Test
  void toneMovesKeepTheOrderOfTones() {
    for (float amount : new float[] {-60, 60}) {
      float before = Float.NEGATIVE_INFINITY;
      for (float tone = -14; tone < 1; tone += 0.01f) {
        float to = tone + TonalGain.lift(tone, amount, amount) + TonalGain.bend(tone, amount);
        assertThat(to).as("at %.2f", tone).isGreaterThan(before);
        before = to;
      }
    }
  }

  /** Contrast leaves mid grey, brightens above it and darkens below by as much. */
  @Test
  void contrastTurnsAboutMidGrey() {
    float grey = -2.4739f;
    assertThat(TonalGain.bend(grey, 50)).isZero();
    assertThat(TonalGain.bend(grey + 1, 50)).isPositive();
    assertThat(TonalGain.bend(grey - 1, 50))
        .isCloseTo(-TonalGain.bend(grey + 1, 50), within(1e-6f));
  }
}
