package illuminar.core.noise;

import static illuminar.core.noise.Noisy.apart;
import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.Random;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** White noise of deviation 10 in codes of 255, taken out of three planes. */
class ShrinkageTest {
  private static final int W = 320;
  private static final int H = 240;
  private static final Raster WHOLE = Raster.whole(W, H, 1);
  private static final float DEVIATION = 10;

  /** Edges, a ramp, a weave and a flat wall. */
  private static float scene(int x, int y) {
    if (x > 200 && y > 120) {
      return 120 + 25 * (float) Math.sin(x * 0.9) * (float) Math.sin(y * 0.7);
    }
    return x > 120 && x < 190 ? 200 : (x + y) % 97 < 3 ? 40 : 60 + x * 0.2f;
  }

  private static Picture picture(float noise) {
    Random random = new Random(11);
    Picture p = Picture.of(W, H);
    for (int i = 0; i < W * H; i++) {
      for (int c = 0; c < 3; c++) {
        p.channel(c)[i] = scene(i % W, i / W) + noise * (float) random.nextGaussian();
      }
    }
    return p;
  }

  private static Shrinkage of(float deviation) {
    return of(deviation, false);
  }

  private static Shrinkage of(float deviation, boolean quick) {
    return new Shrinkage(
        scale -> {
          float[][] all = new float[3][Cosines.VALUES];
          for (float[] plane : all) {
            Arrays.fill(plane, (float) (deviation * scale));
          }
          return all;
        },
        quick);
  }

  private static boolean[] all() {
    boolean[] wanted = new boolean[W * H];
    Arrays.fill(wanted, true);
    return wanted;
  }

  /**
   * Non-local means of the reference library (Buades, Coll, Morel 2005) at its best strength, on a
   * scene that repeats itself, which serves it well; the proof compares them on a room.
   */
  @Test
  void betterThanTheReferenceAtItsBest() {
    double theirs = Double.MAX_VALUE;
    for (float h = 4; h <= 20; h += 2) {
      theirs = Math.min(theirs, apart(means(picture(DEVIATION), h), picture(0)));
    }
    double ours = apart(of(DEVIATION).shrunk(picture(DEVIATION), WHOLE, all()), picture(0));
    assertThat(20 * Math.log10(theirs / ours)).isGreaterThan(0.7);
  }

  private static Picture means(Picture p, float h) {
    Picture out = Picture.of(W, H);
    for (int c = 0; c < 3; c++) {
      byte[] codes = new byte[W * H];
      for (int i = 0; i < codes.length; i++) {
        codes[i] = (byte) Math.round(Math.max(0, Math.min(255, p.channel(c)[i])));
      }
      Mat in = new Mat(H, W, opencv_core.CV_8U, new BytePointer(codes));
      Mat clean = new Mat();
      opencv_photo.fastNlMeansDenoising(in, clean, h, 7, 21);
      clean.data().get(codes);
      for (int i = 0; i < codes.length; i++) {
        out.channel(c)[i] = codes[i] & 255;
      }
    }
    return out;
  }

  @Test
  void withoutNoiseNothingChanges() {
    assertThat(apart(of(0).shrunk(picture(0), WHOLE, all()), picture(0))).isLessThan(1e-3);
    assertThat(apart(of(0).shrunk(picture(8), WHOLE, all()), picture(8))).isLessThan(1e-3);
  }

  @Test
  void theQuickWayLeavesLittleToo() {
    double quick = apart(of(DEVIATION, true).shrunk(picture(DEVIATION), WHOLE, all()), picture(0));
    assertThat(quick).isLessThan(0.6 * DEVIATION);
  }

  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void aPieceIsThatOfTheWholeWhereverItIsCut(boolean quick) {
    Picture in = picture(DEVIATION);
    Picture whole = of(DEVIATION, quick).shrunk(in, WHOLE, all());
    int m = quick ? Shrinkage.QUICK_MARGIN : Shrinkage.MARGIN;
    Raster part = WHOLE.part(33, 17, W - 33, H - 17);
    boolean[] wanted = new boolean[part.pixels()];
    for (int i = 0; i < wanted.length; i++) {
      wanted[i] = i % part.width() >= m && i / part.width() >= m;
    }
    Picture piece = of(DEVIATION, quick).shrunk(in.cut(WHOLE, part), part, wanted);
    Picture same = whole.cut(WHOLE, part);
    for (int i = 0; i < wanted.length; i++) {
      if (wanted[i]) {
        assertThat(piece.g()[i]).isEqualTo(same.g()[i]);
      }
    }
  }

  @Test
  void aPieceSmallerThanABlockStays() {
    Picture p = Picture.of(5, 40);
    Arrays.fill(p.g(), 3);
    assertThat(of(1).shrunk(p, Raster.whole(5, 40, 1), new boolean[200]).g()).containsOnly(3);
  }
}
