package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Codes;
import illuminar.files.BadPicture;
import illuminar.server.reading.PictureDoor;
import java.io.IOException;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;

/** A view opens after a restart from what was kept, without its originals, as far as they go. */
class OpeningTest {
  private static final String ASK =
      "{\"kind\":\"picture\",\"seq\":%d,\"frame\":\"\",\"probes\":[],\"quality\":1,\"draft\":true,"
          + "\"moving\":\"\",\"aside\":false,\"uncut\":false,\"raster\":{\"scale\":%s,\"x\":0,\"y\":0,\"width\":%d,\"height\":%d},\"recipe\":%s}";

  /** Reads files as usual, but for a time in which there is no memory for them. */
  static class ScarceMemory {
    static final AtomicBoolean SCARCE = new AtomicBoolean();

    @Bean
    @Primary
    PictureDoor scarce() {
      return new PictureDoor() {
        @Override
        public Codes pixels(Path file, String name, BooleanSupplier wanted) throws BadPicture {
          if (SCARCE.get()) {
            throw new OutOfMemoryError("Java heap space");
          }
          return super.pixels(file, name, wanted);
        }
      };
    }
  }

  private static Line.Answer draft(TestServer server, Visitor visitor, String view, double scale)
      throws InterruptedException {
    return ask(server, visitor, view, scale).next();
  }

  /** Joins and asks, without waiting for the answer. */
  private static Line ask(TestServer server, Visitor visitor, String view, double scale) {
    Line line = new Line();
    JsonNode recipe = visitor.json("/api/views/" + view + "/recipe").path("recipe");
    JsonNode sheet = visitor.json("/api/views/" + view);
    int width = (int) (sheet.path("width").asInt() * scale);
    int height = (int) (sheet.path("height").asInt() * scale);
    WebSocket socket = line.join(server.url(), visitor, view);
    socket.sendText(ASK.formatted(1, scale, width, height, recipe), true).join();
    return line;
  }

  private static List<Path> originals(TestServer server) throws IOException {
    try (Stream<Path> all = Files.walk(server.home().resolve("originals"))) {
      return all.filter(Files::isRegularFile).toList();
    }
  }

  @Test
  void aColdViewShowsTheSameWithoutReadingItsFrames() throws Exception {
    try (TestServer server =
        new TestServer("opening_" + System.getProperty("illuminar.fork", "test"))) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String view = visitor.firstView(visitor.demoShoot());
      Line.Answer warm = draft(server, visitor, view, 0.125);
      assertThat(warm.head().path("kind").asString()).isEqualTo("picture");
      byte[] cover = visitor.bytes("/api/views/" + view + "/cover");
      server.stop();
      for (Path p : originals(server)) {
        Files.move(p, p.resolveSibling(p.getFileName() + ".away"));
      }
      server.start();
      visitor.moved(server.url());
      assertThat(visitor.bytes("/api/views/" + view + "/cover")).isEqualTo(cover);
      Line.Answer cold = draft(server, visitor, view, 0.125);
      assertThat(cold.body()).isEqualTo(warm.body());
      JsonNode fine = draft(server, visitor, view, 0.5).head();
      assertThat(fine.path("kind").asString())
          .as("an original that is not there")
          .isEqualTo("problem");
      for (Path p : originals(server)) {
        Files.move(p, p.resolveSibling(p.getFileName().toString().replace(".away", "")));
      }
      assertThat(draft(server, visitor, view, 0.5).head().path("kind").asString())
          .as("the view has not been spoiled by it")
          .isEqualTo("picture");
    }
  }

  /** All who wait are told, and it can be tried again. */
  @Test
  void aViewThatRunsOutOfMemoryWhileItOpensKeepsNobodyWaiting() throws Exception {
    try (TestServer server =
        new TestServer(
            "opening_memory", Path.of("../demo/small/instrument-room"), ScarceMemory.class)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String view = visitor.firstView(visitor.demoShoot());
      server.stop();
      FileSystemUtils.deleteRecursively(server.home().resolve("kept"));
      ScarceMemory.SCARCE.set(true);
      server.start();
      visitor.moved(server.url());
      List<Line> waiting = new ArrayList<>();
      for (int k = 0; k < 3; k++) {
        waiting.add(ask(server, visitor, view, 0.125));
      }
      for (Line line : waiting) {
        JsonNode head = line.next().head();
        assertThat(head.path("kind").asString()).isEqualTo("problem");
        assertThat(head.path("said").asString()).contains("not enough memory");
      }
      ScarceMemory.SCARCE.set(false);
      assertThat(draft(server, visitor, view, 0.125).head().path("kind").asString())
          .isEqualTo("picture");
    } finally {
      ScarceMemory.SCARCE.set(false);
    }
  }
}
