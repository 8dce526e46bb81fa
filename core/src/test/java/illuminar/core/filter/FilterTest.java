package illuminar.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Plane;
import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.global.opencv_ximgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/** Filters beside the reference library, away from the border where conventions differ. */
class FilterTest {
  private static final int W = 120;
  private static final int H = 90;

  private static Plane noise(int seed) {
    Random random = new Random(seed);
    Plane p = Plane.of(W, H);
    for (int i = 0; i < p.data().length; i++) {
      p.data()[i] = random.nextFloat() * 0.2f + (i % W > 60 ? 0.7f : 0.1f);
    }
    return p;
  }

  private static Mat mat(Plane p) {
    Mat m = new Mat(H, W, opencv_core.CV_32F);
    FloatIndexer at = m.createIndexer();
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        at.put(y, x, p.at(x, y));
      }
    }
    return m;
  }

  private static void same(Plane ours, Mat theirs, int border, float slack) {
    FloatIndexer at = theirs.createIndexer();
    for (int y = border; y < H - border; y++) {
      for (int x = border; x < W - border; x++) {
        assertThat(ours.at(x, y)).isCloseTo(at.get(y, x), within(slack));
      }
    }
  }

  @Test
  void meanEqualsTheReferenceBoxFilter() {
    Mat out = new Mat();
    opencv_imgproc.blur(mat(noise(1)), out, new Size(11, 11));
    same(Box.mean(noise(1), 5), out, 6, 1e-5f);
  }

  @Test
  void gaussEqualsTheReference() {
    Mat out = new Mat();
    opencv_imgproc.GaussianBlur(mat(noise(2)), out, new Size(13, 13), 2.0);
    same(Gauss.smooth(noise(2), 2.0), out, 7, 1e-5f);
  }

  /** What is passed over because it is 0 changes nothing. Source: the reference library. */
  @Test
  void gaussOfAFewSpotsEqualsTheReference() {
    Plane spots = Plane.of(W, H);
    spots.data()[12 * W + 9] = 1;
    spots.data()[12 * W + 30] = 0.5f;
    spots.data()[(H - 12) * W + W - 14] = 0.8f;
    Mat out = new Mat();
    opencv_imgproc.GaussianBlur(mat(spots), out, new Size(13, 13), 2.0);
    same(Gauss.smooth(spots, 2.0), out, 7, 1e-6f);
  }

  /** He, Sun, Tang 2010: the same formula in the reference library. */
  @Test
  void guidedEqualsTheReference() {
    Plane guide = noise(3);
    Plane input = noise(4);
    Mat out = new Mat();
    opencv_ximgproc.guidedFilter(mat(guide), mat(input), out, 6, 0.01);
    same(Guided.of(guide, input, 6, 0.01f).on(guide), out, 14, 2e-4f);
  }

  /** The same with a guide in colour, section 3.5. */
  @Test
  void colourGuidedEqualsTheReference() {
    Plane[] guide = {noise(3), noise(5), noise(6)};
    Plane input = noise(4);
    Mat colour = new Mat();
    opencv_core.merge(
        new org.bytedeco.opencv.opencv_core.MatVector(mat(guide[0]), mat(guide[1]), mat(guide[2])),
        colour);
    Mat out = new Mat();
    opencv_ximgproc.guidedFilter(colour, mat(input), out, 6, 0.01);
    Plane ours = ColourGuided.of(guide, input, Plane.filled(W, H, 1), 6, 0.01f).on(guide);
    same(ours, out, 14, 2e-4f);
  }

  @Test
  void aFlatPlaneStaysFlat() {
    Plane flat = Plane.filled(W, H, 0.4f);
    for (float v : Gauss.smooth(flat, 3).data()) {
      assertThat(v).isCloseTo(0.4f, within(1e-6f));
    }
    for (float v : Box.mean(flat, 9).data()) {
      assertThat(v).isCloseTo(0.4f, within(1e-6f));
    }
  }

  /** Ways of the transformed domain of one plane (Gastal and Oliveira 2011, equation 11). */
  private static WithinEdges edges(Plane guide, double reach, double range) {
    Plane across = Plane.filled(W, H, 1);
    Plane down = Plane.filled(W, H, 1);
    float k = (float) (reach / range);
    for (int i = 0; i < W * H; i++) {
      float v = guide.data()[i];
      across.data()[i] += i % W < W - 1 ? k * Math.abs(guide.data()[i + 1] - v) : 0;
      down.data()[i] += i + W < W * H ? k * Math.abs(guide.data()[i + W] - v) : 0;
    }
    return new WithinEdges(across, down, reach);
  }

  /** The recursive filter of the same authors in the reference library. */
  @Test
  void meansWithinEdgesEqualTheReference() {
    Plane guide = noise(7);
    Plane input = noise(8);
    Mat out = new Mat();
    opencv_ximgproc.dtFilter(mat(guide), mat(input), out, 9, 0.3, opencv_ximgproc.DTF_RF, 3);
    same(edges(guide, 9, 0.3).mean(input)[0], out, 0, 1e-4f);
  }

  /** What is known on one side of an edge is carried on there, and not over it. Arithmetic. */
  @Test
  void whatIsKnownIsCarriedOnUpToAnEdge() {
    Plane sides = Plane.of(W, H);
    Plane known = Plane.of(W, H);
    for (int i = 0; i < W * H; i++) {
      sides.data()[i] = i % W > 60 ? 1 : 0;
      known.data()[i] = i / W == 20 ? 1 : 0;
    }
    Plane[] mean = edges(sides, 30, 0.001).mean(Guided.product(sides, known), known);
    for (int y = 10; y < 60; y++) {
      assertThat(mean[0].at(59, y) / mean[1].at(59, y)).isCloseTo(0, within(1e-3f));
      assertThat(mean[0].at(62, y) / mean[1].at(62, y)).isCloseTo(1, within(1e-3f));
    }
  }
}
