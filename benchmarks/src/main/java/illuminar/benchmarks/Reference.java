package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.files.BadPicture;
import illuminar.files.PictureReader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.MatVector;

/** The reference library's exposure fusion, for comparison only. */
public final class Reference {
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

  /** Milliseconds that the library takes to fuse frames that are read already. */
  public static double fusing(List<Path> files) throws BadPicture {
    List<Codes> codes = new ArrayList<>();
    for (Path f : files) {
      codes.add(PictureReader.pixels(f, f.getFileName().toString()));
    }
    MatVector mats = mats(codes);
    long start = System.nanoTime();
    fuse(mats).close();
    return (System.nanoTime() - start) / 1e6;
  }

  /**
   * The library's fusion of a view's ambient frames, lined up by the product; of one frame, the
   * frame.
   *
   * @return display codes 0 to 1, red, green, blue of each pixel in turn
   */
  public static float[] fused(Analysis analysis) {
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), 1);
    List<Codes> aligned = new ArrayList<>();
    for (Frame frame : analysis.frames().ambient()) {
      Picture p = analysis.draw(frame.id(), whole);
      byte[] rgb = new byte[3 * whole.pixels()];
      for (int i = 0; i < whole.pixels(); i++) {
        for (int c = 0; c < 3; c++) {
          rgb[3 * i + c] = (byte) (int) (Srgb.encodeFast(p.channel(c)[i]) * 255 + 0.5f);
        }
      }
      aligned.add(Codes.of8(whole.width(), whole.height(), rgb));
    }
    Mat fused = fuse(mats(aligned));
    FloatIndexer at = fused.createIndexer();
    float[] out = new float[3 * whole.pixels()];
    for (int k = 0; k < out.length; k++) {
      float code = at.get(k / 3 / whole.width(), k / 3 % whole.width(), k % 3);
      out[k] = Math.max(0, Math.min(1, code));
    }
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
