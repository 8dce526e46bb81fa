package illuminar.benchmarks.cases;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Srgb;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Frame;
import illuminar.files.Legend;
import illuminar.files.MakeAndModel;
import illuminar.files.PictureWriter;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Optional;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Folders as the independent cases have them; frames and truth written here, no source. */
class CaseFolderTest {
  private static final int W = 240;
  private static final int H = 160;

  @TempDir Path folder;

  @BeforeEach
  void frames() throws Exception {
    for (int k = 0; k < 3; k++) {
      double time = Math.pow(2, 2 * (k - 1)) / 60;
      Legend legend =
          new Legend(
              Optional.of(new Exposure(time, 8, 100)),
              Optional.of(LocalDateTime.of(2026, 6, 11, 12, 0, k)),
              MakeAndModel.UNKNOWN,
              false,
              1,
              "",
              0);
      try (OutputStream out = Files.newOutputStream(folder.resolve("A_" + k + ".jpg"))) {
        PictureWriter.jpeg(
            PictureWriter.image8(W, H, codes(0.18 * Math.pow(2, 2 * (k - 1)))), 0.95, legend, out);
      }
    }
  }

  private static byte[] codes(double light) {
    byte[] out = new byte[3 * W * H];
    for (int i = 0; i < W * H; i++) {
      double texture = 1 + 0.6 * Math.sin(i % W * 0.21) * Math.cos(i / W * 0.17);
      for (int c = 0; c < 3; c++) {
        out[3 * i + c] = Srgb.code8((float) Math.min(1, light * texture));
      }
    }
    return out;
  }

  @Test
  void framesAreTakenInByTheirExposures() throws Exception {
    CaseFolder room = new CaseFolder(folder);
    assertThat(room.known()).isFalse();
    assertThat(room.analysis().frames().all())
        .extracting(Frame::id)
        .containsExactly("A_0.jpg", "A_1.jpg", "A_2.jpg");
    assertThat(room.analysis().frames().anchor()).isEqualTo("A_1.jpg");
    double step =
        room.analysis().frames().get("A_2.jpg").stops()
            - room.analysis().frames().get("A_1.jpg").stops();
    assertThat(step).isCloseTo(2, within(0.15));
    assertThat(room.mask("panes")).isEmpty();
  }

  /**
   * Half the size, red, green and blue in their order. Format: Radiance RGBE, written by OpenCV.
   */
  @Test
  void truthAndMasksLieOverTheFrames() throws Exception {
    Mat truth = new Mat(H / 2, W / 2, opencv_core.CV_32FC3, new Scalar(0.25, 0.5, 4, 0));
    opencv_imgcodecs.imwrite(folder.resolve("truth.hdr").toString(), truth);
    Files.createDirectories(folder.resolve("masks"));
    Mat mask = new Mat(H, W, opencv_core.CV_8UC1, new Scalar(0));
    mask.rowRange(0, H / 2).put(new Scalar(255));
    opencv_imgcodecs.imwrite(folder.resolve("masks/sky.png").toString(), mask);
    CaseFolder room = new CaseFolder(folder);
    assertThat(room.known()).isTrue();
    float[] light = room.light("truth").orElseThrow();
    assertThat(light).hasSize(3 * W * H);
    int i = 3 * (H / 2 * W + W / 2);
    assertThat(light[i]).as("red").isCloseTo(4, within(0.05f));
    assertThat(light[i + 1]).as("green").isCloseTo(0.5f, within(0.05f));
    assertThat(light[i + 2]).as("blue").isCloseTo(0.25f, within(0.05f));
    int[] sky = room.mask("sky").orElseThrow();
    assertThat(sky[5 * W + 7]).isEqualTo(255);
    assertThat(sky[(H - 5) * W + 7]).isZero();
  }
}
