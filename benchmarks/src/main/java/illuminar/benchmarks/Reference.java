package illuminar.benchmarks;

import illuminar.core.frame.Codes;
import illuminar.core.picture.Plane;
import java.util.List;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/** The reference library's exposure fusion, for comparison only. */
final class Reference {
  private Reference() {}

  static MatVector mats(List<Codes> frames) {
    MatVector mats = new MatVector();
    for (Codes c : frames) {
      Mat m = new Mat(c.height(), c.width(), opencv_core.CV_8UC3);
      m.data().put(c.eight());
      mats.push_back(m);
    }
    return mats;
  }

  /** Fuses frames of 8-bit codes. */
  static Mat fuse(MatVector frames) {
    Mat out = new Mat();
    opencv_photo.createMergeMertens(1, 1, 1).process(frames, out);
    return out;
  }

  /** Grey codes of a fused picture in red, green, blue order. */
  static Plane grey(Mat fused) {
    FloatIndexer at = fused.createIndexer();
    Plane out = Plane.of(fused.cols(), fused.rows());
    for (int y = 0; y < fused.rows(); y++) {
      for (int x = 0; x < fused.cols(); x++) {
        float v = 0.299f * at.get(y, x, 0) + 0.587f * at.get(y, x, 1) + 0.114f * at.get(y, x, 2);
        out.data()[y * fused.cols() + x] = Math.max(0, Math.min(1, v));
      }
    }
    return out;
  }
}
