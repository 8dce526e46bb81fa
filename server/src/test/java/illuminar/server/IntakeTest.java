package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** From the card to lined-up views, over HTTP; each test with a server of its own. */
class IntakeTest {
  private TestServer server;
  private Visitor visitor;
  private String shoot;

  @BeforeEach
  void begin() {
    server = new TestServer("intake_test");
    visitor = new Visitor(server.url()).signedIn();
    shoot = visitor.demoShoot();
  }

  @AfterEach
  void end() {
    server.close();
  }

  @Test
  void badFilesStayOnTheCardWithTheirReason() throws Exception {
    Path card = server.card();
    byte[] good = Files.readAllBytes(card.resolve("FWH_0114.JPG"));
    Files.write(card.resolve("FWH_0200.JPG"), Arrays.copyOf(good, good.length / 3));
    Files.write(card.resolve("FWH_0201.JPG"), new byte[0]);
    Files.writeString(card.resolve("FWH_0202.JPG"), "key is under the pot");
    Files.write(card.resolve("FWH_0203.JPG"), good);
    JsonNode sheet = visitor.json("/api/shoots/" + shoot + "/waiting");
    assertThat(sheet.path("views")).hasSize(1);
    assertThat(sheet.path("views").get(0).path("frames")).hasSize(8);
    assertThat(sheet.path("refused").toString())
        .contains("FWH_0200.JPG: the file is damaged or cut short")
        .contains("FWH_0201.JPG: the file is empty")
        .contains("FWH_0202.JPG: this is not a JPEG, PNG, TIFF or raw picture")
        .contains("FWH_0203.JPG: the same picture as FWH_0114.JPG");
  }

  /** A card has no way to files of the server. */
  @Test
  void linksOnTheCardLeadNowhere() throws Exception {
    Path outside = server.home().resolve("outside.jpg");
    Files.move(server.card().resolve("FWH_0115.JPG"), outside);
    Files.createSymbolicLink(server.card().resolve("FWH_0115.JPG"), outside);
    JsonNode sheet = visitor.json("/api/shoots/" + shoot + "/waiting");
    assertThat(sheet.path("views").get(0).path("frames")).hasSize(7);
    assertThat(sheet.toString()).doesNotContain("FWH_0115.JPG");
  }

  /** A camera numbers each card anew: two frames of one view may have one name. */
  @Test
  void twoCardsFeedOneTimeLine() throws Exception {
    Files.createDirectories(server.secondCard());
    Files.move(server.card().resolve("FWH_0115.JPG"), server.secondCard().resolve("FWH_0114.JPG"));
    JsonNode sheet = visitor.json("/api/shoots/" + shoot + "/waiting");
    assertThat(sheet.path("views")).hasSize(1);
    assertThat(sheet.path("views").get(0).path("frames")).hasSize(8);
    assertThat(sheet.path("views").get(0).path("frames").findValuesAsString("id"))
        .contains("card/FWH_0114.JPG", "card2/FWH_0114.JPG");
    String thumbs = "/api/shoots/" + shoot + "/waiting/%s/FWH_0114.JPG/thumb";
    assertThat(visitor.get(thumbs.formatted("card2")).statusCode()).isEqualTo(200);
    assertThat(visitor.get(thumbs.formatted("card2")).body())
        .isNotEqualTo(visitor.get(thumbs.formatted("card")).body());
    JsonNode end = visitor.done(shoot, visitor.takeInCard(shoot).path("id").asString());
    assertThat(end.path("state").asString()).isEqualTo("DONE");
    assertThat(end.path("problems")).isEmpty();
  }

  @Test
  void namesNeverLeaveTheCard() {
    assertThat(
            visitor
                .get("/api/shoots/" + shoot + "/waiting/card/..%2F..%2Fetc%2Fpasswd/thumb")
                .statusCode())
        .isIn(400, 404);
    String order =
        "{\"views\":[{\"name\":\"v\",\"anchor\":\"../x\",\"frames\":[{\"id\":\"../x\",\"role\":\"AMBIENT\"}]}]}";
    assertThat(visitor.post("/api/shoots/" + shoot + "/intake", order).statusCode()).isEqualTo(404);
  }

  @Test
  void theCardIsTakenInLinedUpAndBlended() throws Exception {
    String job = visitor.takeInCard(shoot).path("id").asString();
    JsonNode end = visitor.done(shoot, job);
    assertThat(end.path("state").asString()).isEqualTo("DONE");
    assertThat(end.path("problems")).isEmpty();
    String view = visitor.json("/api/shoots/" + shoot).path("views").get(0).path("id").asString();
    JsonNode sheet = visitor.json("/api/views/" + view);
    for (JsonNode f : sheet.path("frames")) {
      assertThat(f.path("sure").asBoolean()).as(f.path("name").asString()).isTrue();
    }
    JsonNode recipe = visitor.json("/api/views/" + view + "/recipe");
    assertThat(recipe.at("/recipe/passes").findValuesAsString("kind")).startsWith("show-view");
    assertThat(recipe.at("/recipe/regions/0/parts/0/shape/kind").asString()).isEqualTo("glazing");
    originalsAreKeptByContent();
    everythingIsThereAfterARestart(view);
  }

  private void originalsAreKeptByContent() throws Exception {
    String sha = server.sql("select sha256 from frame where name = 'FWH_0114.JPG'").get(0);
    Path kept = server.home().resolve("originals").resolve(sha.substring(0, 2)).resolve(sha);
    assertThat(Files.readAllBytes(kept))
        .isEqualTo(Files.readAllBytes(server.card().resolve("FWH_0114.JPG")));
    assertThat(kept.toFile().canWrite() && !"root".equals(System.getProperty("user.name")))
        .isFalse();
  }

  private void everythingIsThereAfterARestart(String view) {
    JsonNode before = visitor.json("/api/views/" + view + "/recipe");
    server.stop();
    server.start();
    visitor = new Visitor(server.url()).signedIn();
    assertThat(visitor.json("/api/views/" + view + "/recipe")).isEqualTo(before);
    assertThat(visitor.bytes("/api/views/" + view + "/cover")).hasSizeGreaterThan(5000);
  }

  @Test
  void aViewNeedsAName() {
    for (String blank : new String[] {"", "   "}) {
      HttpResponse<String> refused =
          visitor.post(
              "/api/shoots/" + shoot + "/intake",
              """
              {"views":[{"name":"%s","anchor":"card/FWH_0112.JPG",
              "frames":[{"id":"card/FWH_0112.JPG","role":"AMBIENT"}]}]}"""
                  .formatted(blank));
      assertThat(refused.statusCode()).isEqualTo(422);
      assertThat(refused.body()).contains("Give the view a name.");
    }
    assertThat(visitor.post("/api/shoots", "{\"name\":\" \"}").body())
        .contains("Give the shoot a name.");
    assertThat(visitor.post("/api/shoots", "{\"name\":\"" + "x".repeat(201) + "\"}").body())
        .contains("at most 200 letters");
  }

  /** A node that died left its job picked and running; a new one takes it up and finishes it. */
  @Test
  void aKilledServersJobIsResumed() {
    String other =
        Visitor.JSON
            .readTree(visitor.post("/api/shoots", "{\"name\":\"Crash\"}").body())
            .path("id")
            .asString();
    JsonNode card = visitor.json("/api/shoots/" + other + "/waiting");
    StringBuilder frames = new StringBuilder();
    for (JsonNode f : card.at("/views/0/frames")) {
      frames
          .append(frames.isEmpty() ? "" : ",")
          .append(
              "{\"id\":\""
                  + f.path("id").asString()
                  + "\",\"role\":\""
                  + f.path("role").asString()
                  + "\"}");
    }
    String job = java.util.UUID.randomUUID().toString();
    String subject =
        "{\"views\":[{\"id\":\""
            + java.util.UUID.randomUUID()
            + "\",\"name\":\"Half done\",\"anchor\":\"card/FWH_0114.JPG\",\"frames\":["
            + frames
            + "]}]}";
    server.stop();
    server.sql(
        "insert into job (id, studio_id, shoot_id, kind, subject, state, done, total) select '"
            + job
            + "', studio_id, id, 'INTAKE', '"
            + subject
            + "', 'RUNNING', 3, 18 from shoot where id = '"
            + other
            + "'");
    server.sql(
        "insert into scheduled_tasks (task_name, task_instance, execution_time, picked, picked_by, last_heartbeat, version) values ('job', '"
            + job
            + "', now() - interval '1 hour', true, 'dead', now() - interval '1 hour', 1)");
    server.start();
    visitor = new Visitor(server.url()).signedIn();
    assertThat(visitor.done(other, job).path("state").asString()).isEqualTo("DONE");
    assertThat(visitor.json("/api/shoots/" + other).at("/views/0/name").asString())
        .isEqualTo("Half done");
  }
}
