package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.xmp.XmpDirectory;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.ground.Ground;
import illuminar.core.recipe.Recipe;
import illuminar.files.BadPicture;
import illuminar.files.PictureReader;
import illuminar.server.job.Job;
import illuminar.server.job.JobRows;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeService;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
  private final Deliveries deliveries = new Deliveries(visitor, shoot);

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
    String order = Visitor.order(List.of(view), 0, "JPEG", "TIFF_16", "TIFF_8", "PNG_16", "PNG_8");
    JsonNode job = deliveries.made(order);
    assertThat(job.path("state").asString()).isEqualTo("DONE");
    Map<String, JsonNode> files = deliveries.files(job);
    assertThat(files).hasSize(5);
    for (JsonNode f : files.values()) {
      assertThat(PictureReader.pixels(deliveries.fetched(f), "f").width()).isEqualTo(600);
    }
    Metadata meta =
        ImageMetadataReader.readMetadata(deliveries.fetched(files.get("JPEG")).toFile());
    assertThat(meta.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().toString())
        .contains("compositeCapture", "© Heathlight");
    ExifIFD0Directory root = meta.getFirstDirectoryOfType(ExifIFD0Directory.class);
    assertThat(root.getString(ExifIFD0Directory.TAG_MODEL)).isEqualTo("Fennick F1");
    assertThat(visitor.json("/api/shoots/" + shoot).at("/views/0/state").asString())
        .isEqualTo("DELIVERED");
  }

  /** One colour means the same in every space, and 16 bits say what 8 bits say. */
  @Test
  void spacesAndDepthsShowOnePicture() throws Exception {
    List<Map<String, Object>> all = new ArrayList<>();
    for (String space : List.of("SRGB", "DISPLAY_P3", "OPRGB")) {
      String pattern = space + " {view}";
      all.add(Visitor.specification("TIFF_16", 320, pattern, "name", space, "space", space));
    }
    all.add(Visitor.specification("PNG_8", 320, "{view}"));
    all.add(Visitor.specification("DNG", 320, "linear {view}", "space", "DISPLAY_P3"));
    Map<String, JsonNode> files =
        deliveries.files(deliveries.made(Visitor.order(List.of(view), all)));
    double[] wanted = light(deliveries.fetched(files.get("SRGB")));
    for (JsonNode f : files.values()) {
      double[] seen = light(deliveries.fetched(f));
      for (int i = 0; i < wanted.length; i++) {
        assertThat(seen[i]).as(f.path("name").asString()).isCloseTo(wanted[i], within(0.006));
      }
    }
  }

  /** Display-linear sRGB of some pixels. */
  private static double[] light(Path file) throws BadPicture {
    Codes codes = PictureReader.pixels(file, "f");
    double[] out = new double[300];
    for (int i = 0; i < out.length; i++) {
      int at = (i / 3 * 677 % (codes.width() * codes.height())) * 3 + i % 3;
      double light = codes.linear() ? codes.at(at) : Srgb.decodeWide((float) codes.at(at));
      out[i] = Math.min(1, Math.max(0, light));
    }
    return out;
  }

  /** What was kept and ordered by an earlier version has no watermark, and goes on as it was. */
  @Test
  void whatWasSpecifiedBeforeWatermarksIsRead() throws Exception {
    String plain = visitor.json("/api/specifications").toString();
    server.sql("update specification set body = body - 'watermark'");
    server.sql("update job set subject = subject #- '{specifications,0,watermark}'");
    server.sql(Files.readString(Path.of("src/main/resources/db/migration/V22__watermarks.sql")));
    assertThat(visitor.json("/api/specifications")).hasToString(plain);
  }

  private static Map<String, Object> lettered(String text, double size) {
    return Visitor.specification("PNG_8", 0, "{view}", "watermark", Visitor.watermark(text, size));
  }

  /** Whose it is stands in its corner, and nowhere else; the same picture is also had without. */
  @Test
  void aWatermarkLiesInItsCorner() throws Exception {
    Map<String, Object> mark = Visitor.watermark("Heathlight", 0.08);
    List<Map<String, Object>> both =
        List.of(
            Visitor.specification("PNG_8", 320, "plain"),
            Visitor.specification("PNG_8", 320, "marked", "name", "marked", "watermark", mark));
    Map<String, JsonNode> files =
        deliveries.files(deliveries.made(Visitor.order(List.of(view), both)));
    Codes plain = PictureReader.pixels(deliveries.fetched(files.get("PNG_8")), "plain");
    Codes marked = PictureReader.pixels(deliveries.fetched(files.get("marked")), "marked");
    int lettered = 0;
    for (int i = 0; i < 3 * plain.width() * plain.height(); i++) {
      boolean changed = plain.at(i) != marked.at(i);
      lettered += changed ? 1 : 0;
      int x = i / 3 % plain.width();
      int y = i / 3 / plain.width();
      assertThat(changed && (x < plain.width() / 3 || y < plain.height() / 2)).isFalse();
    }
    assertThat(lettered).isGreaterThan(3000);
    // going on by hand, one wants the picture alone; and letters have to be there
    for (Map<String, Object> never :
        List.of(
            Visitor.specification("DNG", 0, "{view}", "watermark", mark),
            lettered("天", 0.08),
            lettered("Heathlight", 3))) {
      String order = Visitor.order(List.of(view), List.of(never));
      assertThat(visitor.post("/api/shoots/" + shoot + "/delivery", order).body())
          .containsAnyOf("has no watermark", "This typeface has no 天", "a fifth of the long edge");
    }
  }

  /** The best quality that fits; one that cannot be kept to is named, and the rest goes on. */
  @Test
  void aLimitOfBytesIsKept() throws Exception {
    Map<String, Object> fits = Visitor.specification("JPEG", 0, "{view}", "mostBytes", 40_000);
    Map<String, Object> never = Visitor.specification("PNG_16", 0, "{view}", "mostBytes", 20_000);
    JsonNode job = deliveries.made(Visitor.order(List.of(view), List.of(fits, never)));
    assertThat(job.path("problems").toString())
        .contains("could not be written", "PNG_16 allows 20,000");
    Map<String, JsonNode> files = deliveries.files(job);
    assertThat(files.keySet()).containsExactly("JPEG");
    assertThat(files.get("JPEG").path("bytes").asLong()).isBetween(39_200L, 40_000L);
  }

  @Test
  void senselessOrdersAreRefused() {
    String path = "/api/shoots/" + shoot + "/delivery";
    assertThat(visitor.post(path, Visitor.order(List.of(), 0, "JPEG")).statusCode()).isEqualTo(422);
    assertThat(visitor.post(path, Visitor.order(List.of(view), 7, "JPEG")).body())
        .contains("long edge");
    Map<String, Object> sharp = Visitor.specification("JPEG", 0, "{view}", "sharpness", "LOUD");
    assertThat(visitor.post(path, Visitor.order(List.of(view), List.of(sharp))).statusCode())
        .isBetween(400, 422);
    String twins = Visitor.order(List.of(view), 0, "JPEG", "JPEG");
    assertThat(visitor.post(path, twins).body()).contains("give the same file names");
  }

  @Test
  void everyFormatSaysWhatItIs() {
    JsonNode formats = visitor.json("/api/formats");
    assertThat(formats).hasSizeGreaterThanOrEqualTo(5);
    for (JsonNode f : formats) {
      assertThat(f.path("name").asString()).isNotBlank();
      assertThat(f.path("ending").asString()).matches("[a-z]{3}");
      assertThat(f.path("lossy").asBoolean()).isEqualTo(f.path("id").asString().equals("JPEG"));
    }
    String order = Visitor.order(List.of(view), 0, "CLAY");
    assertThat(visitor.post("/api/shoots/" + shoot + "/delivery", order).body())
        .contains("cannot be delivered as CLAY");
  }

  /** A studio begins with some; it adds, changes and removes its own, each under one name. */
  @Test
  void specificationsAreKeptByTheStudio() {
    JsonNode first = visitor.json("/api/specifications");
    assertThat(first).hasSizeGreaterThan(3);
    String mine =
        Visitor.JSON.writeValueAsString(
            Visitor.specification("TIFF_16", 5000, "{view}", "name", "Wall print"));
    JsonNode added = Visitor.JSON.readTree(visitor.post("/api/specifications", mine).body());
    String path = "/api/specifications/" + added.path("id").asString();
    assertThat(visitor.post("/api/specifications", mine).body())
        .contains("another specification with the name Wall print");
    String changed = mine.replace("{view}", "{n} {view}");
    assertThat(visitor.send("PUT", path, changed).statusCode()).isEqualTo(200);
    JsonNode last = visitor.json("/api/specifications").get(first.size());
    assertThat(last.at("/specification/pattern").asString()).isEqualTo("{n} {view}");
    assertThat(visitor.send("DELETE", path, "").statusCode()).isEqualTo(204);
    assertThat(visitor.json("/api/specifications")).hasSize(first.size());
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
            + " iso, taken, flash, model, placed_a, placed_b, placed_dx, placed_dy, spread, sure,"
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
    JsonNode job = deliveries.made(Visitor.order(List.of(view, twin), 320, "JPEG"));
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
            + Visitor.order(List.of(view), 0, "JPEG")
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
