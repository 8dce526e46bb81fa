package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.xmp.XmpDirectory;
import illuminar.core.ground.Ground;
import illuminar.core.recipe.Recipe;
import illuminar.files.PictureReader;
import illuminar.server.job.Job;
import illuminar.server.job.JobRows;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeService;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Finished files: formats, names, legends, and what counts as delivered. */
class DeliveryTest {
  private static final Opened OPENED = Opened.view();
  private final TestServer server = OPENED.server();
  private final Visitor visitor = OPENED.visitor();
  private final String shoot = OPENED.shoot();
  private final String view = OPENED.id();

  private static String order(String view, String formats, int edge) {
    return "{\"views\":["
        + view
        + "],\"formats\":["
        + formats
        + "],\"longEdge\":"
        + edge
        + ",\"quality\":92,\"copyright\":\"© Heathlight\"}";
  }

  private JsonNode delivered(String shoot, String order) {
    HttpResponse<String> answer = visitor.post("/api/shoots/" + shoot + "/delivery", order);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(202);
    return visitor.done(shoot, Visitor.JSON.readTree(answer.body()).path("id").asString());
  }

  private List<String> names(String job) {
    List<String> names = new ArrayList<>();
    for (JsonNode f : visitor.json("/api/shoots/" + shoot + "/delivered")) {
      if (f.path("job").asString().equals(job)) {
        names.add(f.path("name").asString());
      }
    }
    return names;
  }

  @Test
  void finishedFilesCarryTheirLegend() throws Exception {
    String order =
        "{\"views\":[\""
            + view
            + "\"],\"formats\":[\"JPEG\",\"TIFF_16\",\"PNG_16\"],\"longEdge\":0,\"quality\":92,\"sharpness\":\"SCREEN\",\"copyright\":\"© Heathlight\"}";
    JsonNode job =
        Visitor.JSON.readTree(visitor.post("/api/shoots/" + shoot + "/delivery", order).body());
    assertThat(visitor.done(shoot, job.path("id").asString()).path("state").asString())
        .isEqualTo("DONE");
    JsonNode files = visitor.json("/api/shoots/" + shoot + "/delivered");
    List<JsonNode> mine = new ArrayList<>();
    files.forEach(f -> mine.add(f));
    mine.removeIf(f -> !f.path("job").equals(job.path("id")));
    assertThat(mine).hasSize(3);
    for (JsonNode f : mine) {
      Path file = Files.createTempFile("delivered", f.path("name").asString());
      Files.write(file, visitor.bytes("/api/delivered/" + f.path("id").asString()));
      assertThat(PictureReader.pixels(file, "f").width()).isEqualTo(600);
      if (f.path("format").asString().equals("JPEG")) {
        var meta =
            ImageMetadataReader.readMetadata(new ByteArrayInputStream(Files.readAllBytes(file)));
        assertThat(meta.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().toString())
            .contains("compositeCapture");
      }
    }
    assertThat(visitor.json("/api/shoots/" + shoot).at("/views/0/state").asString())
        .isEqualTo("DELIVERED");
  }

  @Test
  void senselessOrdersAreRefused() {
    String none =
        "{\"views\":[],\"formats\":[\"JPEG\"],\"longEdge\":0,\"quality\":92,\"copyright\":\"\"}";
    assertThat(visitor.post("/api/shoots/" + shoot + "/delivery", none).statusCode())
        .isEqualTo(422);
    String size =
        "{\"views\":[\""
            + view
            + "\"],\"formats\":[\"JPEG\"],\"longEdge\":7,\"quality\":92,\"copyright\":\"\"}";
    assertThat(visitor.post("/api/shoots/" + shoot + "/delivery", size).body())
        .contains("Long edge");
    String sharp =
        "{\"views\":[\""
            + view
            + "\"],\"formats\":[\"JPEG\"],\"longEdge\":0,\"quality\":92,\"sharpness\":\"LOUD\"}";
    assertThat(visitor.post("/api/shoots/" + shoot + "/delivery", sharp).statusCode())
        .isBetween(400, 422);
  }

  @Test
  void everyFormatSaysWhatItIs() {
    JsonNode formats = visitor.json("/api/formats");
    assertThat(formats).hasSize(3);
    for (JsonNode f : formats) {
      assertThat(f.path("name").asString()).isNotBlank();
      assertThat(f.path("ending").asString()).matches("[a-z]{3}");
      assertThat(f.path("lossy").asBoolean()).isEqualTo(f.path("id").asString().equals("JPEG"));
    }
    String order = order("\"" + view + "\"", "\"CLAY\"", 0);
    assertThat(visitor.post("/api/shoots/" + shoot + "/delivery", order).body())
        .contains("cannot be delivered as CLAY");
  }

  /** Two views of one name are two files, and every size has a name of its own. */
  @Test
  void namesAreUniqueInAnOrderAndSaySmallerSizes() {
    String twin = UUID.randomUUID().toString();
    server.sql(
        "insert into view (id, shoot_id, position, name, state, width, height, anchor_id, response,"
            + " current_revision) select '"
            + twin
            + "', shoot_id, 9, name, state, width, height, anchor_id, response, 0 from view where id = '"
            + view
            + "'");
    server.sql(
        "insert into frame select gen_random_uuid(), '"
            + twin
            + "', position, name, sha256, width, height, role, stops, stops_known, seconds, aperture,"
            + " iso, taken, flash, camera, placed_a, placed_b, placed_dx, placed_dy, spread, sure,"
            + " burnt, blocked from frame where view_id = '"
            + view
            + "'");
    server.sql(
        "update view set anchor_id = (select f.id from frame f join frame o on o.sha256 = f.sha256"
            + " join view v on v.anchor_id = o.id where f.view_id = '"
            + twin
            + "' and v.id = '"
            + view
            + "') where id = '"
            + twin
            + "'");
    String anchor = server.sql("select anchor_id from view where id = '" + twin + "'").get(0);
    server
        .bean(RecipeService.class)
        .begin(
            UUID.fromString(twin), new Recipe(new Ground.OneFrame(anchor), List.of(), List.of()));
    JsonNode job = delivered(shoot, order("\"" + view + "\",\"" + twin + "\"", "\"JPEG\"", 320));
    server.sql("delete from view where id = '" + twin + "'");
    assertThat(job.path("state").asString()).isEqualTo("DONE");
    assertThat(job.path("problems")).isEmpty();
    String name = visitor.json("/api/views/" + view).path("name").asString().replace(' ', '-');
    List<String> left = names(job.path("id").asString());
    assertThat(left).containsExactly(name + "-320px.jpg");
    try (Stream<Path> files =
        Files.list(server.home().resolve("delivered").resolve(job.path("id").asString()))) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .containsExactlyInAnyOrder(name + "-320px.jpg", name + "-320px-2.jpg");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A file that could not be written leaves its view undelivered, and no half file behind. */
  @Test
  void aViewWhoseFileFailedIsNotDelivered() throws Exception {
    server.sql("update view set state = 'BLENDED' where id = '" + view + "'");
    String name = visitor.json("/api/views/" + view).path("name").asString().replace(' ', '-');
    String id = UUID.randomUUID().toString();
    Path place = server.home().resolve("delivered").resolve(id);
    // where the file is to stand there is a folder that is not empty
    Files.createDirectories(place.resolve(name + ".jpg").resolve("in the way"));
    server.sql(
        "insert into job (id, studio_id, shoot_id, kind, subject, state, created) select '"
            + id
            + "', studio_id, id, 'DELIVERY', '"
            + order("\"" + view + "\"", "\"JPEG\"", 0)
            + "', 'WAITING', now() + interval '1 hour' from shoot where id = '"
            + shoot
            + "'");
    List<String> problems = new ArrayList<>();
    Job job = server.bean(JobRows.class).findById(UUID.fromString(id)).orElseThrow();
    for (Work work : server.beans(Work.class)) {
      if (work.kind().equals("DELIVERY")) {
        work.run(job, new Heard(problems));
      }
    }
    assertThat(problems).hasSize(1).first().asString().contains(name + ".jpg could not be written");
    assertThat(visitor.json("/api/views/" + view).path("state").asString()).isEqualTo("BLENDED");
    assertThat(place.resolve(name + ".jpg.part")).doesNotExist();
    server.sql("delete from job where id = '" + id + "'");
  }

  /** Keeps what went wrong. */
  private record Heard(List<String> problems) implements Work.Progress {
    @Override
    public void at(int done, int total, String doing) {}

    @Override
    public void problem(String said) {
      problems.add(said);
    }
  }
}
