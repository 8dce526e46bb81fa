package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.files.Legend;
import illuminar.files.MakeAndModel;
import illuminar.files.PictureReader;
import illuminar.files.PictureWriter;
import illuminar.server.storage.Store;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import tools.jackson.databind.JsonNode;

/** What goes wrong round the application: the disk, the database, its own process, odd cards. */
class TroubleTest {
  @TempDir Path dir;

  private static String orderOf(JsonNode card) {
    return card.toString().replaceAll(",\"refused\":.*", "}");
  }

  /** A disk that takes three frames and is full then, in the words of the operating system. */
  static class FullDisk {
    private static int kept;

    @Bean
    @Primary
    Store small(@Qualifier("store") Store usual) {
      return new ShakyStore(usual) {
        @Override
        synchronized void fail(String name) throws IOException {
          if (++kept > 3) {
            throw new IOException("No space left on device");
          }
        }

        @Override
        public void letGo(String name) {
          throw new UnsupportedOperationException();
        }
      };
    }
  }

  @Test
  void aFullDiskIsSaidAndWhatCameBeforeIsKept() {
    try (TestServer server =
        new TestServer("trouble_disk", Path.of("../demo/small/instrument-room"), FullDisk.class)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode job = visitor.done(shoot, visitor.takeInCard(shoot).path("id").asString());
      assertThat(job.path("state").asString()).isEqualTo("DONE");
      assertThat(job.path("problems")).hasSize(5);
      assertThat(job.path("problems").get(0).asString())
          .contains("FWH_0115.JPG")
          .contains("the disk is full")
          .contains("make room and take it in again");
      String view = visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString();
      assertThat(visitor.json("/api/views/" + view).path("frames")).hasSize(3);
      assertThat(server.card().resolve("FWH_0119.JPG")).exists();
    }
  }

  @Test
  void aLostDatabaseIsSaidAndEverythingAcknowledgedIsThereAfterwards() {
    try (TestServer server = new TestServer("trouble_database")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      assertThat(visitor.post("/api/shoots", "{\"name\":\"Before\"}").statusCode()).isEqualTo(201);
      server.databaseReachable(false);
      HttpResponse<String> lost = visitor.post("/api/shoots", "{\"name\":\"During\"}");
      assertThat(lost.statusCode()).isEqualTo(503);
      assertThat(lost.body()).contains("The database cannot be reached just now");
      server.databaseReachable(true);
      // the pool may hand out one more dead connection: trying again in a moment is what it says
      long end = System.nanoTime() + 20_000_000_000L;
      while (visitor.post("/api/shoots", "{\"name\":\"After\"}").statusCode() != 201) {
        assertThat(System.nanoTime()).as("the database is back").isLessThan(end);
        LockSupport.parkNanos(200_000_000L);
      }
      assertThat(visitor.get("/api/shoots").body())
          .contains("Before")
          .contains("After")
          .doesNotContain("During");
    }
  }

  @Test
  void aFrameOfAnotherSizeStaysOnTheCardAndTheRestGoesOn() throws Exception {
    try (TestServer server = new TestServer("trouble_size")) {
      Path odd = server.card().resolve("FWH_0115.JPG");
      Legend legend =
          new Legend(
              Optional.of(PictureReader.capture(odd, "odd").exposure().orElseThrow()),
              PictureReader.capture(odd, "odd").taken(),
              new MakeAndModel("Fennick", "F1"),
              false,
              1,
              "",
              0);
      try (OutputStream out = Files.newOutputStream(odd)) {
        byte[] grey = new byte[300 * 200 * 3];
        java.util.Arrays.fill(grey, (byte) 90);
        PictureWriter.jpeg(PictureWriter.image8(300, 200, grey), 0.9, legend, out);
      }
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode card = visitor.json("/api/shoots/" + shoot + "/waiting");
      StringBuilder all = new StringBuilder();
      try (Stream<Path> files = Files.list(server.card())) {
        files
            .sorted()
            .forEach(
                f ->
                    all.append(all.isEmpty() ? "" : ",")
                        .append("{\"id\":\"card/" + f.getFileName() + "\",\"role\":\"AMBIENT\"}"));
      }
      assertThat(card.toString()).contains("FWH_0115.JPG");
      String order =
          "{\"views\":[{\"name\":\"All\",\"anchor\":\"card/FWH_0114.JPG\",\"frames\":["
              + all
              + "]}]}";
      String id =
          Visitor.JSON
              .readTree(visitor.post("/api/shoots/" + shoot + "/intake", order).body())
              .path("id")
              .asString();
      JsonNode job = visitor.done(shoot, id);
      assertThat(job.path("state").asString()).isEqualTo("DONE");
      assertThat(job.path("problems").get(0).asString())
          .contains("FWH_0115.JPG")
          .contains("300×200 pixels, the view's other frames are 600×400");
      String view = visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString();
      assertThat(visitor.json("/api/views/" + view).path("frames")).hasSize(7);
    }
  }

  /** A bracket of one frame is a view like any other; sRGB is all that is known of its response. */
  @Test
  void oneFrameAloneIsEnough() throws Exception {
    Files.copy(Path.of("../demo/small/instrument-room/FWH_0114.JPG"), dir.resolve("FWH_0114.JPG"));
    try (TestServer server = new TestServer("trouble_single", dir)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode job = visitor.done(shoot, visitor.takeInCard(shoot).path("id").asString());
      assertThat(job.path("state").asString()).isEqualTo("DONE");
      String view = visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString();
      assertThat(
              visitor.json("/api/views/" + view + "/recipe").at("/recipe/ground/kind").asString())
          .isEqualTo("one-frame");
      assertThat(visitor.bytes("/api/views/" + view + "/cover")).hasSizeGreaterThan(3000);
    }
  }

  /** 16-bit frames that are proportional to light go the whole way from card to recipe. */
  @Test
  void linearFramesGoTheWholeWay() {
    try (TestServer server =
        new TestServer("trouble_linear", Path.of("../demo/linear/instrument-room"))) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode card = visitor.json("/api/shoots/" + shoot + "/waiting");
      assertThat(card.path("refused")).isEmpty();
      assertThat(card.path("views")).hasSize(1);
      String id =
          Visitor.JSON
              .readTree(visitor.post("/api/shoots/" + shoot + "/intake", orderOf(card)).body())
              .path("id")
              .asString();
      JsonNode job = visitor.done(shoot, id);
      assertThat(job.path("state").asString()).isEqualTo("DONE");
      assertThat(job.path("problems")).isEmpty();
      String view = visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString();
      JsonNode recipe = visitor.json("/api/views/" + view + "/recipe");
      assertThat(recipe.at("/recipe/passes").findValuesAsString("kind")).startsWith("show-view");
      assertThat(visitor.bytes("/api/views/" + view + "/cover")).hasSizeGreaterThan(3000);
    }
  }

  /** The process is killed in the middle of an intake, as by a power cut. */
  @Test
  void aKilledProcessLeavesNothingHalfDone() throws Exception {
    try (TestServer server = new TestServer("trouble_kill")) {
      server.stop();
      OwnProcess process = OwnProcess.of(server);
      Visitor visitor = new Visitor(process.url()).signedIn();
      String shoot = visitor.demoShoot();
      String job = visitor.takeInCard(shoot).path("id").asString();
      visitor.await(shoot, job, j -> j.path("done").asInt() >= 2);
      process.kill();
      server.start();
      Visitor again = new Visitor(server.url()).signedIn();
      assertThat(again.done(shoot, job).path("state").asString()).isEqualTo("DONE");
      JsonNode views = again.json("/api/shoots/" + shoot).path("views");
      assertThat(views).hasSize(1);
      assertThat(again.json("/api/views/" + views.get(0).path("id").asString()).path("frames"))
          .hasSize(8);
      try (Stream<Path> files = Files.walk(server.home().resolve("originals"))) {
        assertThat(files.filter(f -> f.toString().endsWith(".part"))).isEmpty();
      }
    }
  }

  /** Two processes on one database: who listens at one hears of what the other does. */
  @Test
  void progressIsHeardWhereverOneListens() throws Exception {
    try (TestServer server = new TestServer("trouble_two")) {
      try (OwnProcess other = OwnProcess.of(server, "-Dilluminar.jobs=false")) {
        Visitor visitor = new Visitor(server.url()).signedIn();
        String shoot = visitor.demoShoot();
        HttpRequest listen =
            HttpRequest.newBuilder(URI.create(other.url() + "/api/shoots/" + shoot + "/progress"))
                .timeout(Duration.ofSeconds(20))
                .build();
        // signed in at one, signed in at both
        HttpResponse<Stream<String>> lines =
            visitor.client.send(listen, HttpResponse.BodyHandlers.ofLines());
        assertThat(lines.statusCode()).isEqualTo(200);
        String job = visitor.takeInCard(shoot).path("id").asString();
        try (Stream<String> heard = lines.body()) {
          Optional<String> over =
              CompletableFuture.supplyAsync(
                      () ->
                          heard
                              .filter(line -> line.contains(job))
                              .filter(line -> !line.matches(".*\"(WAITING|RUNNING)\".*"))
                              .findFirst())
                  .get(90, TimeUnit.SECONDS);
          assertThat(over).hasValueSatisfying(line -> assertThat(line).contains("\"DONE\""));
        }
      }
    }
  }
}
