package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point2f;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/** Finished pictures drawn from their views, beside OpenCV's warps. */
class LaidTest {
  private static final int N = 512;
  private static final Raster WHOLE = Raster.whole(N, N, 1);

  /** Texture whose strength falls with its fineness, as in photographs, and boards with edges. */
  private static Picture texture() {
    Random chance = new Random(3);
    double[] all = new double[N * N];
    for (int k = 0; k < 160; k++) {
      double f = 0.004 * Math.pow(90, chance.nextDouble());
      double angle = chance.nextDouble() * Math.PI;
      double phase = chance.nextDouble() * 6.28;
      double fx = 2 * Math.PI * f * Math.cos(angle);
      double fy = 2 * Math.PI * f * Math.sin(angle);
      double strength = 0.0008 / Math.max(0.01, f);
      for (int i = 0; i < all.length; i++) {
        all[i] += strength * Math.sin(fx * (i % N) + fy * (i / N) + phase);
      }
    }
    Picture p = Picture.of(N, N);
    for (int i = 0; i < all.length; i++) {
      double board = (i % N / 37 + i / N / 53) % 2 == 0 ? 0.25 : 0.6;
      p.r()[i] = p.g()[i] = p.b()[i] = (float) Math.max(0, board + all[i]);
    }
    return p;
  }

  private static Picture turned(Picture p, double degrees) {
    Geometry g = new Geometry(degrees, 0, 0, 24, 0, 0, 0, 0, Crop.NONE);
    Projection all = Projection.everything(g, N, N);
    int x = (int) Math.round(-all.left() * N);
    int y = (int) Math.round(-all.top() * N);
    Raster there = new Raster(1, x, y, N, N);
    return new Laid(all, N, N).picture(there, r -> p.part(WHOLE, r));
  }

  private static double signalToNoise(float[] was, float[] is) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < was.length; i++) {
      if (Math.hypot(i % N - N / 2.0, i / N - N / 2.0) < N * 0.4) {
        sum += (was[i] - is[i]) * (was[i] - is[i]);
        n++;
      }
    }
    return -10 * Math.log10(sum / n);
  }

  /** Twelve turns by 30° lose no more than OpenCV's Lanczos-4 does. */
  @Test
  void aWholeTurnInTwelveLosesNoMoreThanTheReference() {
    Picture was = texture();
    Picture ours = was;
    Mat theirs = new Mat(N, N, opencv_core.CV_32FC1);
    ((FloatIndexer) theirs.createIndexer()).put(0, was.r());
    Mat by = opencv_imgproc.getRotationMatrix2D(new Point2f((N - 1) / 2f, (N - 1) / 2f), -30, 1);
    for (int k = 0; k < 12; k++) {
      ours = turned(ours, 30);
      Mat next = new Mat();
      opencv_imgproc.warpAffine(
          theirs,
          next,
          by,
          new Size(N, N),
          opencv_imgproc.INTER_LANCZOS4,
          opencv_core.BORDER_CONSTANT,
          new Scalar(0));
      theirs = next;
    }
    float[] reference = new float[N * N];
    ((FloatIndexer) theirs.createIndexer()).get(0, reference);
    assertThat(signalToNoise(was.r(), ours.r()))
        .isGreaterThanOrEqualTo(signalToNoise(was.r(), reference));
  }

  /** A burnt window beside a dark frame: nothing rings below the dark or far above the light. */
  @Test
  void nothingRingsAlongAWindow() {
    Picture p = Picture.of(N, N);
    for (int i = 0; i < p.r().length; i++) {
      float v = i % N > 200 && i % N < 300 ? 4 : 0.02f;
      p.r()[i] = p.g()[i] = p.b()[i] = v;
    }
    Picture q = turned(p, 3);
    for (int y = 100; y < 400; y++) {
      for (int x = 100; x < 400; x++) {
        float v = q.g()[y * N + x];
        assertThat(v).isBetween(-0.35f, 4.35f);
      }
    }
  }

  /** Any tiling and any piece give the same pixels. */
  @Test
  void piecesAreOfOnePicture() {
    Picture p = texture();
    Geometry g = new Geometry(2.5, 4, -3, 20, 3, -1, 0.05, -0.04, Crop.NONE);
    Projection at = Projection.of(g, N, N);
    Laid laid = new Laid(at, N, N);
    Raster whole = at.whole(1);
    Picture all = laid.picture(whole, r -> p.part(WHOLE, r));
    Raster piece = whole.part(97, 45, 120, 133);
    Picture part = laid.picture(piece, r -> p.part(WHOLE, r));
    assertThat(part.r()).isEqualTo(all.part(whole, piece).r());
    assertThat(part.b()).isEqualTo(all.part(whole, piece).b());
  }

  /** What lies behind a camera that is turned as far as can be is not shown. */
  @Test
  void nothingIsSeenFromBehind() {
    Geometry far = new Geometry(0, 20, 20, 10, 0, 0, 0, 0, Crop.NONE);
    Projection all = Projection.everything(far, N, N);
    Picture white = Picture.of(N, N);
    java.util.Arrays.fill(white.g(), 1);
    Picture lit = new Laid(all, N, N).picture(all.whole(1), r -> white.part(WHOLE, r));
    for (int y = 0; y < lit.height(); y += 9) {
      for (int x = 0; x < lit.width(); x += 9) {
        double px = x + 0.5;
        double py = y + 0.5;
        boolean before =
            all.places()
                    .back()
                    .w(
                        px / N + all.left() - all.places().wide() / 2,
                        py / N + all.top() - all.places().high() / 2)
                > 0;
        if (!before) {
          assertThat(lit.g()[y * lit.width() + x]).isZero();
        }
      }
    }
  }

  /** What only is cut is copied. */
  @Test
  void aCropIsTheSamePixels() {
    Picture p = texture();
    Crop crop = new Crop(0, 64.0 / N, 32.0 / N, 256.0 / N, 128.0 / N);
    Projection at = Projection.of(Geometry.NONE.with(crop), N, N);
    Picture cut = new Laid(at, N, N).picture(at.whole(1), r -> p.part(WHOLE, r));
    assertThat(at.width()).isEqualTo(256);
    assertThat(cut.g()).isEqualTo(p.part(WHOLE, new Raster(1, 64, 32, 256, 128)).g());
  }

  /** A point of light lies where the projection says, also where the lens bulges. */
  @Test
  void picturesAndPlacesAgree() {
    Geometry g = new Geometry(1.5, 5, 2, 22, 4, 1, 0, 0, Crop.NONE);
    Projection at = Projection.of(g, N, N);
    Plane p = Plane.of(N, N);
    for (int i = 0; i < p.data().length; i++) {
      p.data()[i] = (float) Math.exp(-(Math.pow(i % N - 380, 2) + Math.pow(i / N - 120, 2)) / 32.0);
    }
    Picture one = new Picture(N, N, p.data(), p.data(), p.data());
    Picture q = new Laid(at, N, N).picture(at.whole(1), r -> one.part(WHOLE, r));
    Plane map =
        new Laid(at, N, N)
            .plane(at.whole(1), r -> new Plane(r.width(), r.height(), one.part(WHOLE, r).r()), -1);
    for (float[] data : new float[][] {q.r(), map.data()}) {
      double sum = 0;
      double x = 0;
      double y = 0;
      for (int i = 0; i < data.length; i++) {
        double v = Math.max(0, data[i]);
        sum += v;
        x += v * (i % at.width() + 0.5);
        y += v * (i / at.width() + 0.5);
      }
      var want = at.toPlane(new illuminar.core.picture.Point(380.5 / N, 120.5 / N));
      assertThat(x / sum).isCloseTo((want.x() - at.left()) * N, within(0.1));
      assertThat(y / sum).isCloseTo((want.y() - at.top()) * N, within(0.1));
    }
  }
}
