package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Codes;
import illuminar.files.BadPicture;
import illuminar.files.Capture;
import illuminar.files.DngWriter;
import illuminar.files.Legend;
import illuminar.files.Mosaic;
import illuminar.files.PictureReader;
import illuminar.files.PictureWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Raw files on the card, as sensors count and cameras name them. Common practice, no source. */
class RawIntakeTest {
  private static final Path LINEAR = Path.of("../demo/linear/instrument-room");
  private static final List<String> FRAMES = List.of("FWH_0112", "FWH_0113", "FWH_0114");

  private static Legend legend(Path frame) throws BadPicture {
    Capture c = PictureReader.capture(frame, "f");
    return new Legend(c.exposure(), c.taken(), c.camera(), c.flash(), 1, "", 0);
  }

  private static void shoot(Path card, String name) throws IOException, BadPicture {
    Path frame = LINEAR.resolve(name + ".TIF");
    Codes codes = PictureReader.pixels(frame, name);
    try (OutputStream out = Files.newOutputStream(card.resolve(name + ".DNG"))) {
      DngWriter.write(Mosaic.of(codes), legend(frame), DngWriter.Packing.LOSSLESS, out);
    }
  }

  private static void cameraPicture(Path card, String name) throws IOException, BadPicture {
    Path frame = LINEAR.resolve(name + ".TIF");
    Codes codes = PictureReader.pixels(frame, name);
    byte[] rgb = new byte[3 * codes.width() * codes.height()];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = (byte) (255 * Math.sqrt(Math.max(0, codes.at(i))));
    }
    try (OutputStream out = Files.newOutputStream(card.resolve(name + ".JPG"))) {
      PictureWriter.jpeg(
          PictureWriter.image8(codes.width(), codes.height(), rgb), 0.9, legend(frame), out);
    }
  }

  @Test
  void rawFramesAreTakenInAndTheCamerasOwnPictureIsNotASecondFrame() throws Exception {
    Path card = Files.createTempDirectory("illuminar-raw");
    for (String name : FRAMES) {
      shoot(card, name);
    }
    cameraPicture(card, FRAMES.get(1));
    Files.writeString(card.resolve("FWH_0199.DNG"), "no counts of any sensor");
    try (TestServer server =
        new TestServer("raw_" + System.getProperty("illuminar.fork", "test"), card)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode waiting = visitor.json("/api/shoots/" + shoot + "/waiting");
      assertThat(waiting.path("views").size()).isEqualTo(1);
      assertThat(waiting.at("/views/0/frames").findValuesAsString("name"))
          .containsExactly("FWH_0112.DNG", "FWH_0113.DNG", "FWH_0114.DNG");
      assertThat(waiting.path("refused").findValuesAsString("reason"))
          .containsExactlyInAnyOrder(
              "FWH_0113.JPG: the same exposure as FWH_0113.DNG",
              "FWH_0199.DNG: this is not a JPEG, PNG, TIFF or raw picture that can be read");
      String view = visitor.firstView(shoot);
      JsonNode sheet = visitor.json("/api/views/" + view);
      assertThat(sheet.path("state").asString()).isEqualTo("LINED_UP");
      assertThat(sheet.path("width").asInt())
          .isEqualTo(waiting.at("/views/0/frames/0/width").asInt());
      assertThat(visitor.get("/api/views/" + view + "/cover").statusCode()).isEqualTo(200);
    }
  }
}
