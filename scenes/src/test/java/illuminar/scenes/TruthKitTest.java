package illuminar.scenes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.RadianceFile;
import illuminar.scenes.render.Truth;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is written of a view can be read again by its own format's rules. */
class TruthKitTest {
  @TempDir Path dir;

  private static Radiance shipped(String name) throws Exception {
    return RadianceFile.unpack(Path.of("../demo/truth"), name);
  }

  /** value = mantissa / 256 × 2^(exponent − 128). Source: Ward, "Real pixels", 1991. */
  @Test
  void sharedExponentsHoldAColourToHalfAPercent() {
    byte[] p = new byte[4];
    float[][] colours = {{1, 0.5f, 0.25f}, {0.003f, 0.002f, 0.0001f}, {812, 40, 7}, {0, 0, 0}};
    for (float[] c : colours) {
      TruthFiles.rgbe(c[0], c[1], c[2], p);
      double scale = Math.scalb(1.0, (p[3] & 255) - 128 - 8);
      float most = Math.max(c[0], Math.max(c[1], c[2]));
      for (int k = 0; k < 3; k++) {
        assertThat((p[k] & 255) * scale).isCloseTo(c[k], within(most / 127.0 + 1e-9));
      }
    }
  }

  /** Packed values are true to 0.2 %, signs and zeros kept. Source: IEEE 754-2008, binary16. */
  @Test
  void packedRadianceIsTrueToAFifthOfAPercent() throws Exception {
    float[] values = {0, 1, -1, 0.333f, 1234.5f, 3e-4f, -0.0071f, 65000, 1e-9f, 70000, 0.5f, 2};
    float[][] three = {values, values, values};
    Truth truth =
        new Truth(
            values,
            three,
            three,
            values,
            three,
            three,
            values,
            List.of("a"),
            new float[][] {values});
    Radiance r = new Radiance(4, 3, List.of("sun"), new float[][][] {three}, truth);
    RadianceFile.pack(dir, "r", r);
    Radiance back = RadianceFile.unpack(dir, "r");
    for (int i = 0; i < values.length; i++) {
      float expected = Math.min(65504, values[i]);
      float most = Math.abs(expected) * 0.002f + 2e-7f;
      assertThat(back.lights()[0][2][i]).isCloseTo(expected, within(most));
      assertThat(back.truth().part("a")[i]).isCloseTo(expected, within(most));
    }
  }

  @Test
  void aViewsTruthIsWrittenWhole() throws Exception {
    View view = Views.of("yard-wall");
    Radiance radiance = shipped("yard-wall");
    new TruthKit(view, radiance, dir).write();
    for (String light : radiance.names()) {
      byte[] file = Files.readAllBytes(dir.resolve("light-" + light + ".hdr"));
      String head = new String(file, 0, 60, StandardCharsets.US_ASCII);
      assertThat(head).startsWith("#?RADIANCE\n").contains("-Y 400 +X 600\n");
      int start = head.indexOf("+X 600\n") + 7;
      assertThat(file).hasSize(start + 600 * 400 * 4);
    }
    assertThat(dir.resolve("without-shadow.hdr")).exists();
    assertThat(dir.resolve("view-without-haze.hdr")).exists();
    Truth truth = radiance.truth();
    for (String part : truth.parts()) {
      BufferedImage png = ImageIO.read(dir.resolve("part-" + part + ".png").toFile());
      double sum = 0;
      for (int i = 0; i < 600 * 400; i++) {
        int code = png.getRaster().getSample(i % 600, i / 600, 0);
        sum += Math.abs(code / 65535.0 - truth.part(part)[i]);
      }
      assertThat(sum / 240_000).as(part).isLessThan(1e-4);
    }
  }

  /** The yard without its shadow is nowhere darker, and brighter where the roof's shadow lies. */
  @Test
  void withoutTheShadowTheYardIsBrighterOnlyThere() throws Exception {
    Radiance r = shipped("yard-wall");
    float[][] with = r.sum(1, 1, 0);
    float[][] without = r.sum(1, 1, 1);
    int brighter = 0;
    for (int i = 0; i < with[1].length; i++) {
      assertThat(without[1][i]).isGreaterThanOrEqualTo(with[1][i]);
      brighter += without[1][i] > 1.5f * with[1][i] ? 1 : 0;
    }
    assertThat((double) brighter / with[1].length).isBetween(0.15, 0.7);
  }

  /**
   * Hills seen through haze are nearer to the air's colour than without it. Source: Koschmieder.
   */
  @Test
  void hazeTakesTheHillsTowardsTheAir() throws Exception {
    Truth truth = shipped("dormer-room").truth();
    double seen = 0;
    double clear = 0;
    int n = 0;
    for (int i = 0; i < truth.outside().length; i++) {
      boolean hill = truth.outside()[i] > 0.999f && truth.transmission()[i] < 0.9f;
      if (hill) {
        seen += spread(truth.view(), i);
        clear += spread(truth.clear(), i);
        n++;
      }
    }
    assertThat(n).isGreaterThan(800);
    assertThat(seen / n).isLessThan(0.9 * clear / n);
  }

  /** How far a colour is from the air's. */
  private static double spread(float[][] c, int i) {
    double[] air = {3.9, 4.7, 5.9};
    return Math.hypot(Math.hypot(c[0][i] - air[0], c[1][i] - air[1]), c[2][i] - air[2]);
  }
}
