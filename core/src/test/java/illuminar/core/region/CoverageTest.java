package illuminar.core.region;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class CoverageTest {

  private static float[] blob(int w, int h, int x0, int y0, int x1, int y1) {
    float[] m = new float[w * h];
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        m[y * w + x] = 0.25f + 0.01f * (x % 7);
      }
    }
    return m;
  }

  @Test
  void saysWhereItReaches() {
    Coverage s = Coverage.of(blob(20, 10, 3, 2, 11, 6), 20, 10);
    assertThat(s.box()).containsExactly(3, 2, 11, 6);
    assertThat(s.from(4)).isEqualTo(3);
    assertThat(s.to(4)).isEqualTo(11);
    assertThat(s.from(0)).isEqualTo(s.to(0));
  }

  @Test
  void nothingHasAnEmptyBox() {
    int[] box = Coverage.of(new float[200], 20, 10).box();
    assertThat(box[0]).isGreaterThanOrEqualTo(box[2]);
  }

  @Test
  void everywhereIsOne() {
    Coverage s = Coverage.everywhere(6, 4);
    assertThat(s.copy()).containsOnly(1f).hasSize(24);
    assertThat(s.box()).containsExactly(0, 0, 6, 4);
    assertThat(s.outside().box()[2]).isZero();
  }

  @Test
  void outsideTwiceIsTheSame() {
    Coverage s = Coverage.of(blob(20, 10, 3, 2, 11, 6), 20, 10);
    float[] twice = s.outside().outside().copy();
    float[] once = s.copy();
    for (int i = 0; i < once.length; i++) {
      assertThat(Math.abs(twice[i] - once[i])).isLessThan(1e-6f);
    }
  }

  /** A piece holds the same values, and its reach is that of the whole within it. */
  @Property
  void aPieceIsThatOfTheWhole(
      @ForAll @IntRange(min = 0, max = 12) int left,
      @ForAll @IntRange(min = 0, max = 6) int top,
      @ForAll @IntRange(min = 1, max = 8) int w,
      @ForAll @IntRange(min = 1, max = 4) int h) {
    Random random = new Random(left * 31L + top);
    float[] m = new float[200];
    for (int i = 0; i < m.length; i++) {
      m[i] = random.nextInt(4) == 0 ? random.nextFloat() : 0;
    }
    Coverage part = Coverage.of(m, 20, 10).part(left, top, w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        assertThat(part.at(x, y)).isEqualTo(m[(top + y) * 20 + left + x]);
        if (part.at(x, y) > 0) {
          assertThat(x).isBetween(part.from(y), part.to(y) - 1);
        }
      }
    }
    Coverage again = part.part(0, 0, w, h);
    assertThat(again.copy()).isEqualTo(part.copy());
  }
}
