package illuminar.core.pass;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** A pass's task on a tile: pixel by pixel and row by row are the same work. */
class TileTest {
  private static final int W = 23;
  private static final int H = 11;

  private static Picture picture(long seed) {
    Random random = new Random(seed);
    Picture p = Picture.of(W, H);
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < W * H; i++) {
        p.channel(c)[i] = random.nextFloat() * 1.3f;
      }
    }
    return p;
  }

  /** A region in two separate pieces, with rows that it does not reach. */
  private static Coverage region(long seed) {
    Random random = new Random(seed);
    float[] share = new float[W * H];
    for (int y = 1; y < H - 2; y++) {
      for (int x = 0; x < W; x++) {
        boolean in = y % 4 != 0 && (x > 3 && x < 8 || x > 14 && x < 20);
        share[y * W + x] = in ? random.nextFloat() : 0;
      }
    }
    return Coverage.of(share, W, H);
  }

  private static Tile tile(long seed, Gate gate) {
    return new Tile(Raster.whole(W, H, 1), region(seed), gate, 0.7f, id -> Picture.of(W, H));
  }

  @Property(tries = 40)
  void rowsGiveEveryPixelTheSameAmount(@ForAll long seed) {
    Picture p = picture(seed);
    for (Gate gate : new Gate[] {Gate.ALL, new Gate(-6, -3, -1, -0.2)}) {
      Tile tile = tile(seed, gate);
      float[] byPixel = new float[W * H];
      float[] byRow = new float[W * H];
      tile.each(p, (i, m) -> byPixel[i] = m);
      tile.rows(
          p,
          (j, from, to, amount) -> System.arraycopy(amount, from, byRow, j * W + from, to - from));
      for (int i = 0; i < byRow.length; i++) {
        assertThat(byRow[i]).isCloseTo(byPixel[i], within(1e-6f));
      }
    }
  }

  /** What one row does to its amounts is nothing to the next. */
  @Test
  void amountsMayBeChanged() {
    float[] sum = new float[1];
    tile(3, Gate.ALL)
        .rows(
            picture(3),
            (j, from, to, amount) -> {
              for (int x = from; x < to; x++) {
                sum[0] += amount[x];
                amount[x] = 99;
              }
            });
    float[] all = new float[1];
    tile(3, Gate.ALL).each(picture(3), (i, m) -> all[0] += m);
    assertThat(sum[0]).isCloseTo(all[0], within(1e-3f));
  }

  @Test
  void reachesTellsOfEveryRectangle() {
    Coverage share = region(7);
    for (int y = 0; y + 3 <= H; y++) {
      for (int x = 0; x + 2 <= W; x++) {
        boolean any = false;
        for (int v = y; v < y + 3; v++) {
          for (int u = x; u < x + 2; u++) {
            any |= share.at(u, v) > 0;
          }
        }
        assertThat(share.reaches(x, y, 2, 3)).isEqualTo(any);
      }
    }
  }

  /** The matrix on planes is the matrix on colours. */
  @Test
  void aMatrixOnPlanesIsTheMatrixOnColours() {
    Picture p = picture(9);
    float[] m = Space.WORK_TO_SRGB.floats();
    float[][] out = new float[3][W];
    Matrix3.apply(m, p.planes(), 2 * W + 4, out, 4, 10);
    float[] one = new float[3];
    for (int x = 4; x < 14; x++) {
      int i = 2 * W + x;
      Matrix3.apply(m, p.r()[i], p.g()[i], p.b()[i], one);
      for (int c = 0; c < 3; c++) {
        assertThat(out[c][x]).isCloseTo(one[c], within(1e-6f));
      }
    }
    assertThat(out[0][3]).isZero();
    assertThat(out[0][14]).isZero();
  }

  @Test
  void mixingGoesFromOneColourToTheOther() {
    Picture p = picture(4);
    Picture before = p.copy();
    float[][] other = {new float[W], new float[W], new float[W]};
    float[] amount = new float[W];
    amount[5] = 1;
    amount[6] = 0.25f;
    other[0][5] = 2;
    other[0][6] = 2;
    p.mix(3 * W, other, amount, 2, 9);
    assertThat(p.r()[3 * W + 5]).isCloseTo(2, within(1e-6f));
    float quarter = 0.75f * before.r()[3 * W + 6] + 0.5f;
    assertThat(p.r()[3 * W + 6]).isCloseTo(quarter, within(1e-6f));
    assertThat(p.r()[3 * W + 4]).isEqualTo(before.r()[3 * W + 4]);
    assertThat(p.b()[2 * W + 5]).isEqualTo(before.b()[2 * W + 5]);
  }

  @Test
  void multiplyingAndTones() {
    Picture p = picture(6);
    float[] stops = new float[W];
    p.stops(W, W, stops, 0);
    float[] factor = new float[W];
    factor[8] = 4;
    Picture before = p.copy();
    p.multiply(W, factor, 8, 9);
    float[] after = new float[W];
    p.stops(W, W, after, 0);
    // four times the light is two stops more (ISO 2720)
    assertThat(after[8] - stops[8]).isCloseTo(2, within(2e-4f));
    assertThat(p.g()[W + 9]).isEqualTo(before.g()[W + 9]);
  }
}
