package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.xmp.XmpDirectory;
import illuminar.files.PictureReader;
import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Studio;
import illuminar.server.account.Studios;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.security.crypto.password.PasswordEncoder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The application as a whole, over HTTP. One server; the story runs in order. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ApplicationTest {
  private static TestServer server;
  private static Visitor visitor;
  private static String shoot;
  private static String view;

  @BeforeAll
  static void begin() {
    server = new TestServer("server_test");
    visitor = new Visitor(server.url()).signedIn();
    shoot = visitor.demoShoot();
  }

  @AfterAll
  static void end() {
    server.close();
  }

  @Test
  @Order(1)
  void nothingWithoutSignIn() {
    Visitor stranger = new Visitor(server.url());
    assertThat(stranger.get("/api/shoots").statusCode()).isEqualTo(401);
    assertThat(stranger.get("/api/shoots/" + shoot + "/card").statusCode()).isEqualTo(401);
    stranger.get("/api/session");
    HttpResponse<String> wrong =
        stranger.post("/api/session", "{\"email\":\"demo@illuminar.test\",\"password\":\"no\"}");
    assertThat(wrong.statusCode()).isEqualTo(401);
    assertThat(wrong.body()).contains("do not belong together");
  }

  @Test
  @Order(1)
  void aChangeWithoutItsTokenIsRefused() {
    assertThat(
            visitor
                .send("POST", "/api/shoots", "{\"name\":\"x\"}", "X-XSRF-TOKEN", "")
                .statusCode())
        .isIn(201, 403);
    Visitor bare = new Visitor(server.url());
    assertThat(bare.post("/api/shoots", "{\"name\":\"x\"}").statusCode()).isEqualTo(403);
  }

  @Test
  @Order(1)
  void pagesForbidResourcesFromOutside() {
    HttpResponse<String> page = visitor.get("/shoots");
    assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("default-src 'self'");
  }

  /** The types of the interface are made from this description, so the two must not drift apart. */
  @Test
  @Order(1)
  void theShippedDescriptionIsTheServers() throws Exception {
    JsonNode served = visitor.json("/api/openapi");
    // to be copied to the interface after a wanted change, then `npm run types` there
    Files.writeString(Path.of("target/openapi.json"), served.toPrettyString());
    JsonNode shipped =
        Visitor.JSON.readTree(Files.readString(Path.of("../web/src/api/openapi.json")));
    assertThat(shipped).isEqualTo(served);
  }

  @Test
  @Order(2)
  void badFilesStayOnTheCardWithTheirReason() throws Exception {
    Path card = server.card();
    byte[] good = Files.readAllBytes(card.resolve("FWH_0114.JPG"));
    Files.write(card.resolve("FWH_0200.JPG"), Arrays.copyOf(good, good.length / 3));
    Files.write(card.resolve("FWH_0201.JPG"), new byte[0]);
    Files.writeString(card.resolve("FWH_0202.JPG"), "key is under the pot");
    Files.write(card.resolve("FWH_0203.JPG"), good);
    JsonNode sheet = visitor.json("/api/shoots/" + shoot + "/card");
    assertThat(sheet.path("views")).hasSize(1);
    assertThat(sheet.path("views").get(0).path("frames")).hasSize(8);
    assertThat(sheet.path("refused").toString())
        .contains("FWH_0200.JPG: the file is damaged or cut short")
        .contains("FWH_0201.JPG: the file is empty")
        .contains("FWH_0202.JPG: this is not a JPEG, PNG or TIFF picture")
        .contains("FWH_0203.JPG: the same picture as FWH_0114.JPG");
  }

  @Test
  @Order(2)
  void namesNeverLeaveTheCard() {
    assertThat(visitor.get("/api/card/..%2F..%2Fetc%2Fpasswd/thumb").statusCode()).isIn(400, 404);
    String order =
        "{\"views\":[{\"name\":\"v\",\"anchor\":\"../x\",\"frames\":[{\"name\":\"../x\",\"role\":\"AMBIENT\"}]}]}";
    assertThat(visitor.post("/api/shoots/" + shoot + "/intake", order).statusCode()).isEqualTo(404);
  }

  @Test
  @Order(3)
  void theCardIsTakenInLinedUpAndBlended() {
    String job = visitor.takeInCard(shoot).path("id").asString();
    JsonNode end = visitor.done(shoot, job);
    assertThat(end.path("state").asString()).isEqualTo("DONE");
    assertThat(end.path("problems")).isEmpty();
    view = visitor.json("/api/shoots/" + shoot).path("views").get(0).path("id").asString();
    JsonNode sheet = visitor.json("/api/views/" + view);
    for (JsonNode f : sheet.path("frames")) {
      assertThat(f.path("sure").asBoolean()).as(f.path("name").asString()).isTrue();
    }
    JsonNode recipe = visitor.json("/api/views/" + view + "/recipe");
    assertThat(recipe.at("/recipe/passes").findValuesAsString("kind"))
        .startsWith("restore-light", "bring-frame");
    assertThat(recipe.at("/recipe/regions/0/parts/0/shape/kind").asString())
        .isEqualTo("window-finder");
  }

  @Test
  @Order(4)
  void originalsAreKeptByContentAndReadOnly() throws Exception {
    String sha = server.sql("select sha256 from frame where name = 'FWH_0114.JPG'").get(0);
    Path kept = server.home().resolve("originals").resolve(sha.substring(0, 2)).resolve(sha);
    assertThat(Files.readAllBytes(kept))
        .isEqualTo(Files.readAllBytes(server.card().resolve("FWH_0114.JPG")));
    assertThat(kept.toFile().canWrite() && !"root".equals(System.getProperty("user.name")))
        .isFalse();
  }

  private static HttpResponse<String> put(JsonNode state, double exposure) {
    String tone =
        "{\"id\":\"t\",\"on\":true,\"move\":{\"kind\":\"tone\",\"exposure\":"
            + exposure
            + ",\"contrast\":0,\"highlights\":0,\"shadows\":0},\"where\":{\"region\":\"\",\"outside\":false},"
            + "\"gate\":{\"from\":-100,\"full\":-100,\"fullTo\":100,\"to\":100},\"strength\":1,\"why\":\"\"}";
    ObjectNode recipe = (ObjectNode) state.path("recipe").deepCopy();
    List<JsonNode> passes = new ArrayList<>();
    recipe.path("passes").forEach(passes::add);
    passes.removeIf(p -> p.path("id").asString().equals("t"));
    passes.add(JsonMapper.shared().readTree(tone));
    recipe.putArray("passes").addAll(passes);
    String body = recipe.toString();
    return visitor.send(
        "PUT",
        "/api/views/" + view + "/recipe",
        body,
        "If-Match",
        "\"" + state.path("edition").asLong() + "\"");
  }

  /** Exposure of the pass that {@link #put} adds. */
  private static double exposure() {
    for (JsonNode pass : state().at("/recipe/passes")) {
      if (pass.path("id").asString().equals("t")) {
        return pass.at("/move/exposure").asDouble();
      }
    }
    throw new AssertionError("the pass is gone");
  }

  private static JsonNode state() {
    return visitor.json("/api/views/" + view + "/recipe");
  }

  @Test
  @Order(5)
  void everyEditIsARevisionAndUndoMovesAlongThem() {
    JsonNode first = state();
    assertThat(put(first, 0.5).statusCode()).isEqualTo(200);
    assertThat(put(state(), 1.0).statusCode()).isEqualTo(200);
    JsonNode now = state();
    assertThat(now.path("revision").asInt()).isEqualTo(3);
    assertThat(now.path("said").asString()).isEqualTo("tone: exposure +1.00 st");
    String match = "\"" + now.path("edition").asLong() + "\"";
    visitor.send("POST", "/api/views/" + view + "/undo", "{}", "If-Match", match);
    JsonNode back = state();
    assertThat(back.path("revision").asInt()).isEqualTo(2);
    assertThat(back.path("canRedo").asBoolean()).isTrue();
    visitor.send(
        "POST",
        "/api/views/" + view + "/redo",
        "{}",
        "If-Match",
        "\"" + back.path("edition").asLong() + "\"");
    assertThat(exposure()).isEqualTo(1.0);
  }

  @Test
  @Order(6)
  void twoTabsCannotOverwriteEachOther() {
    JsonNode seen = state();
    assertThat(put(seen, 0.3).statusCode()).isEqualTo(200);
    HttpResponse<String> late = put(seen, 0.7);
    assertThat(late.statusCode()).isEqualTo(412);
    assertThat(late.body()).contains("Another tab changed this view").contains("exposure +0.30 st");
    assertThat(exposure()).isEqualTo(0.3);
  }

  @Test
  @Order(6)
  void badRecipesAreRefusedAndNothingIsLost() {
    JsonNode before = state();
    assertThat(put(before, 99).body()).contains("Exposure goes from −5 to 5 st");
    String edition = "\"" + before.path("edition").asLong() + "\"";
    assertThat(
            visitor
                .send(
                    "PUT", "/api/views/" + view + "/recipe", "{\"ground\":1}", "If-Match", edition)
                .statusCode())
        .isEqualTo(422);
    assertThat(
            visitor
                .send("PUT", "/api/views/" + view + "/recipe", before.path("recipe").toString())
                .statusCode())
        .isEqualTo(428);
    assertThat(state()).isEqualTo(before);
  }

  /** A pass that asks for what the frames cannot give leaves the contact table its picture. */
  @Test
  @Order(6)
  void aPassThatCannotBeDoneLeavesTheCover() {
    String cover = "/api/views/" + view + "/cover";
    assertThat(visitor.get(cover).statusCode()).isEqualTo(200);
    JsonNode before = state();
    ObjectNode recipe = (ObjectNode) before.path("recipe").deepCopy();
    JsonNode pass =
        JsonMapper.shared()
            .readTree(
                """
                {"id": "c", "on": true, "strength": 1, "why": "", "where": {"region": "", "outside": false},
                 "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
                 "move": {"kind": "clear-casts", "source": "LIGHTS", "reference": "", "amount": 1, "warmth": 0}}
                """);
    List<JsonNode> passes = new ArrayList<>();
    recipe.path("passes").forEach(passes::add);
    passes.add(pass);
    recipe.putArray("passes").addAll(passes);
    String match = "\"" + before.path("edition").asLong() + "\"";
    HttpResponse<String> put =
        visitor.send("PUT", "/api/views/" + view + "/recipe", recipe.toString(), "If-Match", match);
    assertThat(put.statusCode()).isEqualTo(200);
    assertThat(visitor.get(cover).statusCode()).isEqualTo(200);
    String now = "\"" + state().path("edition").asLong() + "\"";
    visitor.send("POST", "/api/views/" + view + "/undo", "{}", "If-Match", now);
    assertThat(state().path("recipe")).isEqualTo(before.path("recipe"));
  }

  /** Probes are no part of the recipe: pinning them is no step. */
  @Test
  @Order(6)
  void theBalanceBoardIsKeptBesideTheRecipe() {
    String path = "/api/views/" + view + "/board";
    assertThat(visitor.json(path).path("probes").isEmpty()).isTrue();
    JsonNode recipe = state();
    String board =
        """
        {"probes": [{"id": "a", "x": 10, "y": 12.5, "radius": 6, "surface": "North wall"},
                    {"id": "b", "x": 20, "y": 30, "radius": 6}], "reference": "b"}
        """;
    assertThat(visitor.send("PUT", path, board).statusCode()).isEqualTo(204);
    JsonNode kept = visitor.json(path);
    assertThat(kept.at("/probes/0/surface").asString()).isEqualTo("North wall");
    assertThat(kept.at("/probes/0/y").asDouble()).isEqualTo(12.5);
    assertThat(kept.at("/probes/1/surface").asString()).isEmpty();
    assertThat(kept.path("reference").asString()).isEqualTo("b");
    assertThat(state()).isEqualTo(recipe);
    String beside = board.replace("12.5", "99999");
    HttpResponse<String> refused = visitor.send("PUT", path, beside);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("beside the picture");
    String probe = "{\"id\": \"x\", \"x\": 1, \"y\": 1, \"radius\": 1}";
    String many = "{\"probes\": [" + (probe + ",").repeat(24) + probe + "]}";
    assertThat(visitor.send("PUT", path, many).body()).contains("at most 24 probes");
    assertThat(visitor.json(path)).isEqualTo(kept);
  }

  @Test
  @Order(7)
  void anotherStudioSeesNothing() {
    Studio other = server.bean(Studios.class).save(new Studio("Elsewhere"));
    String secret = server.bean(PasswordEncoder.class).encode("secret");
    server
        .bean(Accounts.class)
        .save(new Account(other.id(), "other@illuminar.test", "Other", secret));
    Visitor stranger = new Visitor(server.url()).signedIn("other@illuminar.test", "secret");
    assertThat(stranger.get("/api/shoots").body()).isEqualTo("[]");
    String frame = visitor.json("/api/views/" + view).at("/frames/0/id").asString();
    for (String path :
        new String[] {
          "/api/shoots/" + shoot,
          "/api/views/" + view,
          "/api/views/" + view + "/recipe",
          "/api/views/" + view + "/cover",
          "/api/views/" + view + "/board",
          "/api/frames/" + frame + "/thumb",
          "/api/shoots/" + shoot + "/jobs",
          "/api/shoots/" + shoot + "/delivered"
        }) {
      assertThat(stranger.get(path).statusCode()).as(path).isEqualTo(404);
    }
  }

  /** Of many requests sent at once only the newest must be answered last; most are never begun. */
  @Test
  @Order(8)
  void theLatestPreviewWins() throws Exception {
    Line line = new Line();
    WebSocket socket = line.join(server.url(), visitor, view);
    String recipe = state().path("recipe").toString();
    for (int seq = 1; seq <= 40; seq++) {
      socket
          .sendText(
              "{\"kind\":\"picture\",\"seq\":"
                  + seq
                  + ",\"recipe\":"
                  + recipe
                  + ",\"frameNames\":{},\"raster\":{\"scale\":1,\"x\":0,\"y\":0,\"width\":600,\"height\":400},"
                  + "\"probes\":[{\"id\":\"p\",\"x\":300,\"y\":40,\"radius\":6}],\"quality\":0.9}",
              true)
          .get();
    }
    JsonNode head = line.next().head();
    int count = 1;
    while (head.path("seq").asInt() < 40) {
      head = line.next().head();
      count++;
    }
    assertThat(count).isLessThan(40);
    assertThat(head.at("/probes/0/reading/lab/l").asDouble()).isBetween(20.0, 100.0);
    assertThat(head.path("strips")).hasSize(2);
    assertThat(head.at("/strips/0/rows").asInt() + head.at("/strips/1/rows").asInt())
        .isEqualTo(400);
    socket
        .sendText("{\"kind\":\"picture\",\"seq\":41,\"recipe\":{},\"raster\":{\"scale\":0}}", true)
        .get();
    assertThat(line.next().head().path("kind").asString()).isEqualTo("problem");
    socket.abort();
  }

  @Test
  @Order(9)
  void finishedFilesCarryTheirLegend() throws Exception {
    String order =
        "{\"views\":[\""
            + view
            + "\"],\"formats\":[\"JPEG\",\"TIFF_16\",\"PNG_16\"],\"longEdge\":0,\"quality\":92,\"copyright\":\"© Heathlight\"}";
    JsonNode job =
        Visitor.JSON.readTree(visitor.post("/api/shoots/" + shoot + "/delivery", order).body());
    assertThat(visitor.done(shoot, job.path("id").asString()).path("state").asString())
        .isEqualTo("DONE");
    JsonNode files = visitor.json("/api/shoots/" + shoot + "/delivered");
    assertThat(files).hasSize(3);
    for (JsonNode f : files) {
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
  @Order(9)
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
  }

  @Test
  @Order(10)
  void aCancelledIntakeKeepsWhatWasFinished() {
    String other =
        Visitor.JSON
            .readTree(visitor.post("/api/shoots", "{\"name\":\"Second\"}").body())
            .path("id")
            .asString();
    String job = visitor.takeInCard(other).path("id").asString();
    visitor.send("DELETE", "/api/jobs/" + job, null);
    assertThat(visitor.done(other, job).path("state").asString()).isIn("CANCELLED", "DONE");
    assertThat(visitor.get("/api/shoots/" + other).statusCode()).isEqualTo(200);
  }

  /** A node that died left its job picked and running; a new one takes it up and finishes it. */
  @Test
  @Order(11)
  void aKilledServersJobIsResumed() {
    String other =
        Visitor.JSON
            .readTree(visitor.post("/api/shoots", "{\"name\":\"Crash\"}").body())
            .path("id")
            .asString();
    JsonNode card = visitor.json("/api/shoots/" + other + "/card");
    StringBuilder frames = new StringBuilder();
    for (JsonNode f : card.at("/views/0/frames")) {
      frames
          .append(frames.isEmpty() ? "" : ",")
          .append(
              "{\"name\":\""
                  + f.path("name").asString()
                  + "\",\"role\":\""
                  + f.path("role").asString()
                  + "\"}");
    }
    String job = java.util.UUID.randomUUID().toString();
    String subject =
        "{\"views\":[{\"id\":\""
            + java.util.UUID.randomUUID()
            + "\",\"name\":\"Half done\",\"anchor\":\"FWH_0114.JPG\",\"frames\":["
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

  @Test
  @Order(12)
  void everythingIsThereAfterARestart() {
    assertThat(state().path("canUndo").asBoolean()).isTrue();
    assertThat(visitor.bytes("/api/views/" + view + "/cover")).hasSizeGreaterThan(5000);
  }
}
