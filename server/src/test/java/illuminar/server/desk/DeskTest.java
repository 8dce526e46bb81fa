package illuminar.server.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.render.OutputSpace;
import illuminar.files.Credits;
import illuminar.files.Legend;
import illuminar.files.MakeAndModel;
import illuminar.files.Optics;
import illuminar.files.PictureWriter;
import illuminar.files.Written;
import illuminar.server.web.Problem;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The simulated listing desk over HTTP. Its limits are of the kind that desks set (common practice,
 * no source); the fields that it looks for are those of the IPTC Photo Metadata Standard 2023.1.
 */
class DeskTest {
  @TempDir private Path dir;

  private static Legend legend(String caption, int captures) {
    return new Legend(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optics.of("", 0, 0),
        new MakeAndModel("Fennick", "F1"),
        false,
        1,
        new Credits("", "", caption, "", List.of()),
        captures);
  }

  private static byte[] jpeg(int width, int height, int code, OutputSpace space, Legend legend)
      throws Exception {
    byte[] codes = new byte[width * height * space.channels()];
    Arrays.fill(codes, (byte) code);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    PictureWriter.jpeg(
        PictureWriter.image8(width, height, codes), new Written(space, 0.9, false, 0), legend, out);
    return out.toByteArray();
  }

  private static final Legend WELL = legend("Instrument room with a view of the heath", 5);

  private DeskAnswer sent(byte[] file) throws Exception {
    Path path = Files.write(dir.resolve("picture"), file);
    ListingDesk desk = new ListingDesk("");
    try {
      return desk.send(path, "image/jpeg");
    } finally {
      desk.destroy();
    }
  }

  @ParameterizedTest
  @CsvSource({"1536, 1024", "1024, 1536", "1600, 1200", "1920, 1080", "1200, 1200"})
  void aPictureWithAllThatIsAskedForIsAccepted(int width, int height) throws Exception {
    assertThat(sent(jpeg(width, height, 150, OutputSpace.SRGB, WELL)))
        .isEqualTo(new DeskAnswer(true, List.of()));
  }

  @ParameterizedTest
  @CsvSource({
    "900, 600, 150, SRGB, The long edge has 900 px",
    "1536, 1200, 150, SRGB, The ratio is 1.28 : 1",
    "1536, 1024, 30, SRGB, The mean lightness is L*",
    "1536, 1024, 250, SRGB, The mean lightness is L*",
    "1536, 1024, 150, DISPLAY_P3, The colour profile is not sRGB."
  })
  void eachLackIsNamedAlone(int width, int height, int code, OutputSpace space, String said)
      throws Exception {
    DeskAnswer answer = sent(jpeg(width, height, code, space, WELL));
    assertThat(answer.accepted()).isFalse();
    assertThat(answer.objections()).singleElement().asString().startsWith(said);
  }

  @Test
  void wordsAndSourceAreAskedFor() throws Exception {
    assertThat(sent(jpeg(1536, 1024, 150, OutputSpace.SRGB, legend("", 5))).objections())
        .singleElement()
        .asString()
        .contains("alt text");
    assertThat(sent(jpeg(1536, 1024, 150, OutputSpace.SRGB, legend("A room", 0))).objections())
        .hasSize(2)
        .anySatisfy(o -> assertThat(o).contains("source type"));
  }

  @Test
  void whatIsNoPictureIsRefused() throws Exception {
    assertThat(sent("no picture".getBytes(StandardCharsets.UTF_8)).objections())
        .contains("Only JPEG files can be read here.");
    assertThat(sent(new byte[(int) DeskRules.MOST_BYTES + 10]).objections())
        .contains("The file has more than 15 MB.");
  }

  @Test
  void aDeskThatIsAwaySaysSo() throws Exception {
    Path path = Files.write(dir.resolve("picture"), new byte[9]);
    StandInDesk closed = new StandInDesk();
    String address = closed.address().toString();
    closed.close();
    assertThatThrownBy(() -> new ListingDesk(address).send(path, "image/jpeg"))
        .isInstanceOf(Problem.class)
        .hasMessage("The listing desk has said nothing: it cannot be reached. Send it again.");
    try (StandInDesk open = new StandInDesk()) {
      String beside = open.address().resolve("/elsewhere").toString();
      assertThatThrownBy(() -> new ListingDesk(beside).send(path, "image/jpeg"))
          .hasMessageContaining("it answers with 404");
    }
  }
}
