package illuminar.core.lineup;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.TestRoom;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import java.util.List;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.global.opencv_video;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.TermCriteria;
import org.junit.jupiter.api.Test;

class LineUpTest {
  private final TestRoom room = new TestRoom(900, 600);

  private double worst(Similarity found, Similarity truth) {
    double worst = 0;
    for (int k = 0; k < 4; k++) {
      worst = Math.max(worst, found.apart(truth, (k % 2 * 2 - 1) * 450, (k / 2 * 2 - 1) * 300));
    }
    return worst;
  }

  /**
   * Known displacements up to 12 px and 0.5°, exposures four stops apart; the goal of the proof.
   */
  @Test
  void findsKnownDisplacementsAcrossExposures() {
    Similarity[] truth = {
      Similarity.of(0.5, 1, -8.4, 6.3),
      Similarity.NONE,
      Similarity.of(-0.31, 1, 11.7, -2.2),
      Similarity.of(0.12, 1.001, 3.25, 9.5)
    };
    double[] stops = {-1, 1, 3, 2};
    List<Pyramid> frames = new java.util.ArrayList<>();
    for (int i = 0; i < truth.length; i++) {
      frames.add(Pyramid.of(room.codes(stops[i], truth[i])));
    }
    List<LineUp.Placed> placed = LineUp.find(frames, 1, n -> {});
    for (int i = 0; i < truth.length; i++) {
      assertThat(placed.get(i).sure()).isTrue();
      assertThat(worst(placed.get(i).toFrame(), truth[i])).as("frame %d", i).isLessThan(0.25);
    }
  }

  /**
   * Beside the reference library's ECC on a pair of one exposure: at least as near to the truth.
   */
  @Test
  void isNoFartherOffThanTheReferenceLibrary() {
    Similarity truth = Similarity.of(0.2, 1, 2.6, -3.3);
    Codes a = room.codes(1, Similarity.NONE);
    Codes b = room.codes(1, truth);
    double ours =
        worst(
            LineUp.find(List.of(Pyramid.of(a), Pyramid.of(b)), 0, n -> {}).get(1).toFrame(), truth);
    try (Mat warp = Mat.eye(2, 3, opencv_core.CV_32F).asMat();
        Mat one = grey(a);
        Mat two = grey(b)) {
      opencv_video.findTransformECC(
          one,
          two,
          warp,
          opencv_video.MOTION_EUCLIDEAN,
          new TermCriteria(3, 200, 1e-6),
          new Mat(),
          5);
      FloatIndexer m = warp.createIndexer();
      double cx = 449.5;
      double cy = 299.5;
      double c = m.get(0, 0);
      double s = m.get(1, 0);
      Similarity theirs =
          new Similarity(
              c, s, m.get(0, 2) + c * cx - s * cy - cx, m.get(1, 2) + s * cx + c * cy - cy);
      assertThat(ours).isLessThan(Math.max(0.05, worst(theirs, truth) * 1.5));
    }
  }

  private static Mat grey(Codes codes) {
    Mat rgb = new Mat(codes.height(), codes.width(), opencv_core.CV_8UC3);
    rgb.data().put(codes.eight());
    Mat out = new Mat();
    opencv_imgproc.cvtColor(rgb, out, opencv_imgproc.COLOR_RGB2GRAY);
    return out;
  }

  @Test
  void aFrameOfSomethingElseIsLeftWhereItIs() {
    byte[] flat = new byte[900 * 600 * 3];
    List<Pyramid> frames =
        List.of(Pyramid.of(room.codes(1, Similarity.NONE)), Pyramid.of(Codes.of8(900, 600, flat)));
    LineUp.Placed placed = LineUp.find(frames, 0, n -> {}).get(1);
    assertThat(placed.sure()).isFalse();
    assertThat(placed.toFrame()).isEqualTo(Similarity.NONE);
  }

  @Test
  void movesComposeAndInvert() {
    Similarity a = Similarity.of(1.5, 1.01, 4, -7);
    Similarity b = Similarity.of(-0.4, 0.98, -2, 3);
    assertThat(a.then(a.inverse()).apart(Similarity.NONE, 400, 300)).isLessThan(1e-9);
    assertThat(a.then(b).then(b.inverse()).apart(a, 400, 300)).isLessThan(1e-9);
  }
}
