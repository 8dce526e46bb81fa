package illuminar.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/** Which pixels are asked for, and how pictures and maps are read at them. */
class RasterTest {

  private static Plane noise(int w, int h, long seed) {
    Random random = new Random(seed);
    Plane p = Plane.of(w, h);
    for (int i = 0; i < p.data().length; i++) {
      p.data()[i] = random.nextFloat();
    }
    return p;
  }

  private static Picture picture(int w, int h) {
    return new Picture(w, h, noise(w, h, 1).data(), noise(w, h, 2).data(), noise(w, h, 3).data());
  }

  @Test
  void fittedNeverEnlarges() {
    assertThat(Raster.fitted(2400, 1600, 808).width()).isEqualTo(808);
    assertThat(Raster.fitted(2400, 1600, 808).height()).isEqualTo(539);
    assertThat(Raster.fitted(300, 200, 808)).isEqualTo(Raster.whole(300, 200, 1));
    assertThatThrownBy(() -> new Raster(0, 0, 0, 1, 1)).hasMessageContaining("no such raster");
    assertThatThrownBy(() -> new Raster(1, 0, 0, 0, 1)).hasMessageContaining("no such raster");
  }

  /** Each pixel of a raster and its finer ones lie about the same place of the view. */
  @Property
  void finerPixelsLieInsideTheirPixel(
      @ForAll @IntRange(min = 0, max = 50) int x, @ForAll @IntRange(min = 2, max = 4) int factor) {
    Raster raster = new Raster(0.21, x, 3, 40, 20);
    Raster finer = raster.finer(factor);
    double mean = 0;
    for (int k = 0; k < factor; k++) {
      mean += finer.fullX(7 * factor + k) / factor;
    }
    assertThat(mean).isCloseTo(raster.fullX(7), within(1e-9));
  }

  @Test
  void grownStaysInTheView() {
    Raster r = new Raster(0.5, 2, 90, 40, 10).grown(20, 100, 200);
    assertThat(r).isEqualTo(new Raster(0.5, 0, 70, 50, 30));
  }

  /** Every pixel is the mean of the ones it is made of; beyond the edge the edge is repeated. */
  @Test
  void averagedIsTheMeanOfItsPixels() {
    Picture p = picture(21, 13);
    Raster whole = new Raster(1, 4, 6, 21, 13);
    Raster exact = new Raster(1, 6, 8, 20, 12);
    Picture half = p.averaged(whole, exact, 2);
    assertThat(half.width()).isEqualTo(10);
    assertThat(half.height()).isEqualTo(6);
    for (int y = 0; y < 6; y++) {
      for (int x = 0; x < 10; x++) {
        double sum = 0;
        for (int k = 0; k < 4; k++) {
          int u = Math.min(20, 2 + 2 * x + k % 2);
          int v = Math.min(12, 2 + 2 * y + k / 2);
          sum += p.g()[v * 21 + u] / 4;
        }
        assertThat((double) half.g()[y * 10 + x]).isCloseTo(sum, within(1e-6));
      }
    }
  }

  @Test
  void aPieceCutAndPutBackIsWhereItWas() {
    Picture p = picture(30, 20);
    Raster whole = Raster.whole(30, 20, 1);
    Raster part = whole.part(5, 4, 12, 9);
    Picture cut = p.cut(whole, part);
    assertThat(cut.r()[0]).isEqualTo(p.r()[4 * 30 + 5]);
    Picture out = Picture.of(30, 20);
    cut.into(out, 2, 1, 7, 5, 10, 8);
    assertThat(out.b()[5 * 30 + 7]).isEqualTo(p.b()[5 * 30 + 7]);
    assertThat(out.b()[12 * 30 + 16]).isEqualTo(p.b()[12 * 30 + 16]);
    assertThat(out.b()[12 * 30 + 17]).isZero();
    assertThat(p.cut(whole, whole).r()).isNotSameAs(p.r()).isEqualTo(p.r());
  }

  /** A quarter by area is the mean that the reference library's area interpolation gives. */
  @Test
  void areaResizeEqualsTheReference() {
    Plane in = noise(96, 64, 9);
    Mat from = new Mat(64, 96, opencv_core.CV_32F);
    FloatIndexer put = from.createIndexer();
    for (int y = 0; y < 64; y++) {
      for (int x = 0; x < 96; x++) {
        put.put(y, x, in.at(x, y));
      }
    }
    Mat to = new Mat();
    opencv_imgproc.resize(from, to, new Size(24, 16), 0, 0, opencv_imgproc.INTER_AREA);
    Plane ours = AreaResize.at(in, 96, 64, Raster.whole(96, 64, 0.25));
    FloatIndexer at = to.createIndexer();
    for (int y = 0; y < 16; y++) {
      for (int x = 0; x < 24; x++) {
        assertThat(ours.at(x, y)).isCloseTo(at.get(y, x), within(1e-5f));
      }
    }
  }

  /** Rows of a map are what sampling it bilinearly gives, in whatever order they are asked for. */
  @Test
  void mapRowsAreBilinear() {
    Plane map = noise(37, 23, 5);
    Plane other = noise(37, 23, 6);
    Raster raster = new Raster(0.6, 11, 7, 90, 60);
    MapRows[] rows = MapRows.of(400, 250, raster, map, other);
    float[] out = new float[90];
    for (int j : new int[] {0, 59, 30, 31, 29, 12, 13, 14, 58, 1}) {
      for (int k = 0; k < 2; k++) {
        rows[k].row(j, out, 0);
        float v = (float) ((raster.fullY(j) + 0.5) * 23 / 250 - 0.5);
        for (int i = 0; i < 90; i += 7) {
          float u = (float) ((raster.fullX(i) + 0.5) * 37 / 400 - 0.5);
          assertThat(out[i]).isCloseTo((k == 0 ? map : other).sample(u, v), within(2e-4f));
        }
      }
    }
  }

  /** A piece of a raster reads the very same bits as the whole. */
  @Property(tries = 40)
  void mapRowsDoNotDependOnTheTile(
      @ForAll @IntRange(min = 0, max = 60) int left, @ForAll @IntRange(min = 0, max = 40) int top) {
    Plane map = noise(37, 23, 5);
    Raster whole = Raster.whole(400, 250, 0.3);
    Raster part = whole.part(left, top, 50, 20);
    float[] all = new float[whole.width()];
    float[] some = new float[50];
    MapRows rowsOfAll = MapRows.of(400, 250, whole, map)[0];
    MapRows rowsOfPart = MapRows.of(400, 250, part, map)[0];
    for (int j = 0; j < 20; j++) {
      rowsOfAll.row(top + j, all, 0);
      rowsOfPart.row(j, some, 0);
      for (int i = 0; i < 50; i++) {
        assertThat(some[i]).isEqualTo(all[left + i]);
      }
    }
  }

  @Test
  void aMapThatIsNothingIsNotReached() {
    Plane map = Plane.of(40, 20);
    map.data()[5 * 40 + 30] = 1;
    assertThat(MapRows.of(400, 200, new Raster(1, 0, 0, 100, 200), map)[0].reach()).isFalse();
    assertThat(MapRows.of(400, 200, new Raster(1, 280, 40, 60, 30), map)[0].reach()).isTrue();
  }

  @Test
  void mapsOfDifferentWidthAreRefused() {
    assertThatThrownBy(
            () -> MapRows.of(400, 200, Raster.whole(400, 200, 1), Plane.of(4, 2), Plane.of(8, 2)))
        .hasMessageContaining("width");
  }

  @Test
  void bandsCoverEveryRowOnce() {
    int[] seen = new int[103];
    Bands.of(
        103,
        10,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            seen[y]++;
          }
        });
    assertThat(seen).containsOnly(1);
  }
}
