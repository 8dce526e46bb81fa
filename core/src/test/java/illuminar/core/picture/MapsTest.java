package illuminar.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/** Small maps read at other sizes, beside the reference library's resizing. */
class MapsTest {
  private static final int W = 48;
  private static final int H = 36;

  private static Plane map() {
    Random random = new Random(11);
    Plane p = Plane.of(W, H);
    for (int i = 0; i < p.data().length; i++) {
      p.data()[i] = random.nextFloat() * 4 - 2;
    }
    return p;
  }

  private static FloatIndexer resized(Plane p, int width, int height, int how) {
    Mat in = new Mat(p.height(), p.width(), opencv_core.CV_32F);
    FloatIndexer at = in.createIndexer();
    for (int y = 0; y < p.height(); y++) {
      for (int x = 0; x < p.width(); x++) {
        at.put(y, x, p.at(x, y));
      }
    }
    Mat out = new Mat();
    opencv_imgproc.resize(in, out, new Size(width, height), 0, 0, how);
    return out.createIndexer();
  }

  /** Bilinear with pixel centres at a half, as the reference library places them. */
  @Test
  void rowsOfALargerPictureAreTheReferencesBilinearOnes() {
    Plane map = map();
    int width = 5 * W;
    int height = 5 * H;
    FloatIndexer theirs = resized(map, width, height, opencv_imgproc.INTER_LINEAR);
    Raster whole = Raster.whole(width, height, 1);
    MapRows rows = MapRows.of(width, height, whole, map)[0];
    float[] row = new float[width];
    for (int y = 0; y < height; y++) {
      rows.row(y, row, 0);
      for (int x = 0; x < width; x++) {
        assertThat(row[x]).isCloseTo(theirs.get(y, x), within(1e-4f));
      }
    }
  }

  /** Tiling changes nothing: a piece's rows, in any order, are those of the whole. */
  @Test
  void aPieceReadsWhatTheWholeReads() {
    Plane map = map();
    Raster whole = Raster.whole(W * 7, H * 7, 1);
    Raster piece = whole.part(91, 40, 77, 60);
    MapRows all = MapRows.of(W * 7, H * 7, whole, map)[0];
    MapRows part = MapRows.of(W * 7, H * 7, piece, map)[0];
    float[] wide = new float[whole.width()];
    float[] narrow = new float[piece.width()];
    for (int j : new int[] {59, 0, 30, 31, 3}) {
      all.row(40 + j, wide, 0);
      part.row(j, narrow, 0);
      for (int i = 0; i < narrow.length; i++) {
        assertThat(narrow[i]).isEqualTo(wide[91 + i]);
      }
    }
  }

  @Test
  void someColumnsAloneAreTheSame() {
    Raster whole = Raster.whole(W * 3, H * 3, 1);
    MapRows rows = MapRows.of(W * 3, H * 3, whole, map())[0];
    float[] all = new float[whole.width()];
    float[] some = new float[whole.width()];
    rows.row(20, all, 0);
    rows.row(20, 17, 40, some, 0);
    for (int x = 0; x < all.length; x++) {
      assertThat(some[x]).isEqualTo(x >= 17 && x < 40 ? all[x] : 0);
    }
  }

  @Test
  void reachTellsWhetherAnythingIsThere() {
    Plane empty = Plane.of(W, H);
    empty.data()[10 * W + 12] = 0.2f;
    Raster whole = Raster.whole(W * 4, H * 4, 1);
    assertThat(MapRows.of(W * 4, H * 4, whole.part(40, 36, 16, 12), empty)[0].reach()).isTrue();
    assertThat(MapRows.of(W * 4, H * 4, whole.part(120, 80, 16, 12), empty)[0].reach()).isFalse();
  }

  @Test
  void mapsOfDifferentWidthAreRefused() {
    Raster whole = Raster.whole(W, H, 1);
    assertThatThrownBy(() -> MapRows.of(W, H, whole, map(), Plane.of(W + 1, H)))
        .hasMessageContaining("different width");
  }

  /** Mean over the area of each new pixel, as the reference library's for making smaller. */
  @Test
  void aSmallerPictureIsTheReferencesAreaMean() {
    for (int part : new int[] {2, 3, 4}) {
      Plane map = map();
      FloatIndexer theirs = resized(map, W / part, H / part, opencv_imgproc.INTER_AREA);
      Raster small = Raster.whole(W, H, 1.0 / part);
      Plane ours = AreaResize.at(map, W, H, small);
      for (int y = 0; y < H / part; y++) {
        for (int x = 0; x < W / part; x++) {
          assertThat(ours.at(x, y)).isCloseTo(theirs.get(y, x), within(1e-5f));
        }
      }
    }
  }

  /** The mean of a picture is the mean of its pixels, whatever falls beyond its edge. */
  @Test
  void averagingKeepsTheMeanAndRepeatsTheEdge() {
    Picture p = Picture.of(8, 4);
    Random random = new Random(2);
    double sum = 0;
    for (int i = 0; i < 32; i++) {
      p.r()[i] = random.nextFloat();
      p.g()[i] = 1;
      sum += p.r()[i];
    }
    Raster whole = Raster.whole(8, 4, 1);
    Picture half = p.averaged(whole, whole, 2);
    double mean = 0;
    for (float v : half.r()) {
      mean += v / half.r().length;
    }
    assertThat(mean).isCloseTo(sum / 32, within(1e-6));
    assertThat(half.g()).containsOnly(1f);
  }
}
