package illuminar.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Lab;
import illuminar.core.picture.Picture;
import org.junit.jupiter.api.Test;

/** Pairs of Sharma, Wu, Dalal, "The CIEDE2000 color-difference formula", 2005, table 1. */
class DifferenceTest {
  private static final double[][] PAIRS = {
    {50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425},
    {50, 2.5, 0, 73, 25, -18, 27.1492},
    {60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644},
    {90.8027, -2.0831, 1.4410, 91.1528, -1.6435, 0.0447, 1.4441},
  };

  private static Picture picture(int first) {
    Picture p = Picture.of(PAIRS.length, 1);
    for (int i = 0; i < PAIRS.length; i++) {
      double[] work = new Lab(PAIRS[i][first], PAIRS[i][first + 1], PAIRS[i][first + 2]).work();
      for (int c = 0; c < 3; c++) {
        p.channel(c)[i] = (float) work[c];
      }
    }
    return p;
  }

  @Test
  void pixelsDifferByThePublishedFigures() {
    Difference found = Difference.of(picture(0), picture(3));
    double sum = 0;
    for (int i = 0; i < PAIRS.length; i++) {
      assertThat((double) found.each()[i]).isCloseTo(PAIRS[i][6], within(0.01));
      sum += PAIRS[i][6];
    }
    assertThat(found.mean()).isCloseTo(sum / PAIRS.length, within(0.01));
    assertThat(found.most()).isCloseTo(27.1492, within(0.01));
    assertThat(found.shown()[1]).isZero();
    assertThat(found.shown()[0] & 255).isBetween(200, 206);
  }
}
