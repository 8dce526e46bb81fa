package illuminar.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Directory;
import com.drew.metadata.exif.ExifIFD0Directory;
import illuminar.core.colour.Ciede2000;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Codes;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** DNG as it is written here, read by LibRaw, which is not ours. */
class RawFilesTest {
  private static final int PATCH = 40;

  /** The 24 patches of a chart of plausible surfaces, linear sRGB; our own numbers. */
  private static final double[][] CHART = chart();

  @TempDir private Path dir;

  private static double[][] chart() {
    double[][] out = new double[24][];
    for (int i = 0; i < 18; i++) {
      double hue = i * Math.PI / 9;
      double light = 0.12 + 0.2 * (i % 3);
      out[i] =
          new double[] {
            light * (1 + 0.6 * Math.cos(hue)),
            light * (1 + 0.6 * Math.cos(hue - 2.1)),
            light * (1 + 0.6 * Math.cos(hue + 2.1))
          };
    }
    for (int i = 18; i < 24; i++) {
      double grey = 0.9 * Math.pow(0.5, i - 18);
      out[i] = new double[] {grey, grey, grey};
    }
    return out;
  }

  private static Codes picture() {
    int w = 6 * PATCH;
    int h = 4 * PATCH;
    short[] codes = new short[3 * w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double[] patch = CHART[y / PATCH * 6 + x / PATCH];
        for (int c = 0; c < 3; c++) {
          codes[3 * (y * w + x) + c] = (short) Math.round(65535 * patch[c]);
        }
      }
    }
    return Codes.of16(w, h, codes, true);
  }

  private static Legend legend(int orientation) {
    return new Legend(
        Optional.of(new Exposure(1 / 60.0, 8, 3200)),
        Optional.of(LocalDateTime.of(2026, 6, 11, 12, 4, 10, 350_000_000)),
        new MakeAndModel("Sensor", "F1"),
        true,
        orientation,
        "",
        0);
  }

  private Path dng(Codes codes, DngWriter.Packing packing, int orientation) throws IOException {
    Path file = dir.resolve(packing + ".dng");
    try (OutputStream out = Files.newOutputStream(file)) {
      DngWriter.write(Mosaic.of(codes), legend(orientation), packing, out);
    }
    return file;
  }

  private static Lab lab(Codes codes, int patch) {
    double[] sum = new double[3];
    int n = 0;
    // the middle of a patch, away from what demosaicing does at its edges
    for (int y = PATCH / 4; y < 3 * PATCH / 4; y++) {
      for (int x = PATCH / 4; x < 3 * PATCH / 4; x++) {
        int at = 3 * ((patch / 6 * PATCH + y) * codes.width() + patch % 6 * PATCH + x);
        for (int c = 0; c < 3; c++) {
          sum[c] += codes.at(at + c);
        }
        n++;
      }
    }
    double[] work = Space.SRGB_TO_WORK.apply(sum[0] / n, sum[1] / n, sum[2] / n);
    return Lab.ofWork(work[0], work[1], work[2]);
  }

  /** The goal is 1.0 CIEDE2000 in the mean; the same counts, however they are packed. */
  @ParameterizedTest
  @EnumSource(DngWriter.Packing.class)
  void coloursComeBackThroughTheSensor(DngWriter.Packing packing) throws Exception {
    Codes codes = picture();
    Path file = dng(codes, packing, 1);
    Codes back = PictureReader.pixels(file, "chart.dng");
    assertThat(back.linear()).isTrue();
    assertThat(back.width()).isEqualTo(codes.width());
    double sum = 0;
    for (int i = 0; i < 24; i++) {
      sum += Ciede2000.difference(lab(codes, i), lab(back, i));
    }
    // steps as wide as a sensitive sensor's noise tell less of a chart without noise
    assertThat(sum / 24).isLessThan(packing == DngWriter.Packing.CURVED ? 0.6 : 0.3);
  }

  /** A sensor sees more colours than sRGB shows; they are kept. */
  @Test
  void coloursBeyondSrgbComeBackThroughTheSensor() throws Exception {
    double[][] beyond = {{-0.06, 0.4, -0.03}, {0.5, -0.03, 0.02}, {-0.05, 0.08, 0.45}};
    for (double[] colour : beyond) {
      short[] codes = new short[3 * 64 * 64];
      for (int i = 0; i < codes.length; i++) {
        codes[i] = Codes.wide((float) colour[i % 3]);
      }
      Path file = dng(Codes.ofWide(64, 64, codes, true), DngWriter.Packing.PLAIN, 1);
      Codes back = PictureReader.pixels(file, "beyond.dng");
      for (int c = 0; c < 3; c++) {
        double is = back.at(3 * (32 * 64 + 32) + c);
        assertThat(is).as("channel %d", c).isCloseTo(colour[c], within(0.01));
      }
    }
  }

  /** Where the sensor is full the picture is white, whatever its white balance. */
  @Test
  void whatTheSensorClipsIsWhite() throws Exception {
    short[] codes = new short[3 * 64 * 64];
    Arrays.fill(codes, (short) 65535);
    Codes back =
        PictureReader.pixels(
            dng(Codes.of16(64, 64, codes, true), DngWriter.Packing.PLAIN, 1), "white.dng");
    int middle = 3 * (32 * 64 + 32);
    for (int c = 0; c < 3; c++) {
      assertThat(back.at(middle + c)).isCloseTo(1, within(0.008));
    }
  }

  /** Source: DNG Specification 1.4, required tags; EXIF 2.32. Read by an independent reader. */
  @Test
  void itSaysWhatDngAsksFor() throws Exception {
    Path file = dng(picture(), DngWriter.Packing.LOSSLESS, 1);
    Directory root =
        ImageMetadataReader.readMetadata(file.toFile())
            .getFirstDirectoryOfType(ExifIFD0Directory.class);
    assertThat(root.getByteArray(50706)).containsExactly(1, 4, 0, 0);
    assertThat(root.getInt(ExifIFD0Directory.TAG_PHOTOMETRIC_INTERPRETATION)).isEqualTo(32803);
    assertThat(root.getByteArray(33422)).as("red, green, green, blue").containsExactly(0, 1, 1, 2);
    assertThat(root.getInt(50778)).as("D65").isEqualTo(21);
    assertThat(root.getInt(50714)).isEqualTo(Mosaic.BLACK);
    assertThat(root.getInt(50717)).isEqualTo(Mosaic.WHITE);
    assertThat(root.getString(50708)).contains("Sensor F1");
    Capture capture = PictureReader.capture(file, "a.dng");
    assertThat(capture.exposure().orElseThrow().seconds()).isCloseTo(1 / 60.0, within(1e-6));
    assertThat(capture.exposure().orElseThrow().iso()).isEqualTo(3200);
    assertThat(capture.flash()).isTrue();
    assertThat(capture.taken()).contains(LocalDateTime.of(2026, 6, 11, 12, 4, 10, 350_000_000));
  }

  /** The picture stands upright, and its header says so before it is read. Source: EXIF 2.32. */
  @Test
  void aTurnedCameraGivesAnUprightPicture() throws Exception {
    Path file = dng(picture(), DngWriter.Packing.PLAIN, 6);
    int orientation = PictureReader.capture(file, "turned.dng").orientation();
    Header header = PictureReader.header(file, "turned.dng").upright(orientation);
    Codes codes = PictureReader.pixels(file, "turned.dng");
    assertThat(codes.width()).isEqualTo(4 * PATCH).isEqualTo(header.width());
    assertThat(codes.height()).isEqualTo(6 * PATCH).isEqualTo(header.height());
    Codes small = PictureReader.glance(file, "turned.dng");
    assertThat(small.width()).isEqualTo(2 * PATCH);
    // what lay left of the first row lies on top at the right
    int right = 3 * (PATCH / 2 * codes.width() + codes.width() - PATCH / 2);
    assertThat(codes.at(right)).isCloseTo(CHART[0][0], within(0.01));
  }

  @Test
  void aCutRawFileIsRefused() throws Exception {
    byte[] whole = Files.readAllBytes(dng(picture(), DngWriter.Packing.LOSSLESS, 1));
    Path cut = Files.write(dir.resolve("cut.dng"), Arrays.copyOf(whole, whole.length / 3));
    assertThatThrownBy(() -> PictureReader.pixels(cut, "cut.dng"))
        .isInstanceOf(BadPicture.class)
        .hasMessageContaining("cut.dng");
  }

  @Test
  void whatLibRawDoesNotKnowIsRefused() throws Exception {
    Path text = Files.writeString(dir.resolve("notes.dng"), "no picture at all, only words");
    assertThatThrownBy(() -> PictureReader.header(text, "notes.dng"))
        .isInstanceOf(BadPicture.class)
        .hasMessageContaining("this is not a JPEG, PNG, TIFF or raw picture");
  }

  @Test
  void aRawFileThatTakesTooLongIsGivenUp() throws Exception {
    // a pipe into which nobody ever writes: however fast the machine, its reader waits
    Path file = dir.resolve("slow.dng");
    assertThat(new ProcessBuilder("mkfifo", file.toString()).start().waitFor()).isZero();
    assertThatThrownBy(() -> new LibRaw(file, "slow.dng", Duration.ofSeconds(1)).pixels())
        .isInstanceOf(BadPicture.class)
        .hasMessageContaining("took longer than 1 s");
  }
}
