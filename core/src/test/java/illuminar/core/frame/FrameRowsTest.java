package illuminar.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/** Frames are read where the line-up says that they lie, beside the reference library's warp. */
class FrameRowsTest {
  private static final int W = 240;
  private static final int H = 160;

  private static Codes noise() {
    Random random = new Random(11);
    byte[] rgb = new byte[W * H * 3];
    for (int i = 0; i < rgb.length; i++) {
      // smooth ground with noise on it, as pictures have
      rgb[i] = (byte) (int) (90 + 60 * Math.sin(i / 3 % W * 0.11) + 25 * random.nextDouble());
    }
    return Codes.of8(W, H, rgb);
  }

  /** Bilinear in light at full size. Source: the reference library's affine warp. */
  @Test
  void lightIsReadAsTheReferenceWarpsIt() {
    Codes codes = noise();
    for (Similarity move :
        new Similarity[] {
          Similarity.of(0, 1, 0.37, -0.81), Similarity.of(0.4, 1, 2.4, 1.3), Similarity.NONE
        }) {
      Picture ours = Pyramid.of(codes).draw(Raster.whole(W, H, 1), move, W, H);
      FloatIndexer theirs = warped(codes, move).createIndexer();
      for (int y = 8; y < H - 8; y++) {
        for (int x = 8; x < W - 8; x++) {
          for (int c = 0; c < 3; c++) {
            // the reference works in steps of 1/32 pixel
            assertThat(ours.channel(c)[y * W + x]).isCloseTo(theirs.get(y, x, c), within(0.012f));
          }
        }
      }
    }
  }

  private static Mat warped(Codes codes, Similarity move) {
    Mat light = new Mat(H, W, opencv_core.CV_32FC3);
    FloatIndexer at = light.createIndexer();
    for (int i = 0; i < W * H * 3; i++) {
      at.put(i / 3 / W, i / 3 % W, i % 3, (float) Srgb.decode((codes.eight()[i] & 255) / 255.0));
    }
    double cx = (W - 1) / 2.0;
    double cy = (H - 1) / 2.0;
    Mat m = new Mat(2, 3, opencv_core.CV_32F);
    FloatIndexer k = m.createIndexer();
    float a = (float) move.a();
    float b = (float) move.b();
    k.put(0, 0, a);
    k.put(0, 1, -b);
    k.put(0, 2, (float) (cx - a * cx + b * cy + move.dx()));
    k.put(1, 0, b);
    k.put(1, 1, a);
    k.put(1, 2, (float) (cy - b * cx - a * cy + move.dy()));
    Mat out = new Mat();
    opencv_imgproc.warpAffine(
        light,
        out,
        m,
        new Size(W, H),
        opencv_imgproc.INTER_LINEAR | opencv_imgproc.WARP_INVERSE_MAP,
        opencv_core.BORDER_REPLICATE,
        new Scalar(0, 0, 0, 0));
    return out;
  }

  /** Any piece of a raster reads the same bits as the whole. */
  @Test
  void piecesReadTheSameBits() {
    Pyramid pyramid = Pyramid.of(noise());
    Similarity move = Similarity.of(-0.7, 1.002, 3.3, -2.6);
    Raster whole = Raster.whole(W, H, 1);
    Picture all = pyramid.draw(whole, move, W, H);
    Raster part = whole.part(37, 21, 101, 64);
    Picture piece = pyramid.draw(part, move, W, H);
    assertThat(piece.r()).isEqualTo(all.part(whole, part).r());
    assertThat(piece.b()).isEqualTo(all.part(whole, part).b());
  }
}
