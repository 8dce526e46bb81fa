package illuminar.core.geometry;

import illuminar.core.picture.Plane;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;

/** OpenCV's grey pictures as planes. */
final class Grey {
  private Grey() {}

  /** Codes of 8 bits as 0 to 1. */
  static Plane of(Mat grey) {
    Plane p = Plane.of(grey.cols(), grey.rows());
    try (UByteIndexer codes = grey.createIndexer()) {
      for (int y = 0; y < p.height(); y++) {
        for (int x = 0; x < p.width(); x++) {
          p.data()[y * p.width() + x] = codes.get(y, x) / 255f;
        }
      }
    }
    return p;
  }
}
