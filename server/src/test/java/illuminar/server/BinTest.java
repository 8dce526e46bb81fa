package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.server.bin.Bin;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Shoots and views renamed, thrown away, brought back and deleted. */
class BinTest {
  private static TestServer server;
  private static Visitor visitor;
  private static String shoot;
  private static String view;

  @BeforeAll
  static void begin() {
    server = new TestServer("bin_test");
    visitor = new Visitor(server.url()).signedIn();
    shoot = visitor.demoShoot();
    view = visitor.firstView(shoot);
  }

  @AfterAll
  static void end() {
    server.close();
  }

  private static int status(String method, String path) {
    return visitor.send(method, path, null).statusCode();
  }

  private static String made(String name) {
    String body = visitor.post("/api/shoots", "{\"name\":\"" + name + "\"}").body();
    return Visitor.JSON.readTree(body).path("id").asString();
  }

  @Test
  void namesCanBeChanged() {
    String other = made("Lwer lodge");
    String name = "/api/shoots/" + other + "/name";
    assertThat(visitor.send("PUT", name, "{\"name\":\" Lower lodge \"}").statusCode())
        .isEqualTo(204);
    assertThat(visitor.json("/api/shoots/" + other).path("name").asString())
        .isEqualTo("Lower lodge");
    assertThat(visitor.send("PUT", name, "{\"name\":\" \"}").body()).contains("Give the shoot");
    String before = visitor.json("/api/views/" + view).path("name").asString();
    String viewName = "/api/views/" + view + "/name";
    visitor.send("PUT", viewName, "{\"name\":\"Study\"}");
    assertThat(visitor.json("/api/views/" + view).path("name").asString()).isEqualTo("Study");
    visitor.send("PUT", viewName, "{\"name\":\"" + before + "\"}");
  }

  /** What is in the bin is nowhere else; brought back, it is as it was. */
  @Test
  void aViewComesBackAsItWas() {
    JsonNode recipe = visitor.json("/api/views/" + view + "/recipe");
    String frame = visitor.json("/api/views/" + view).at("/frames/0/id").asString();
    assertThat(status("DELETE", "/api/views/" + view)).isEqualTo(204);
    for (String path :
        new String[] {
          "/api/views/" + view, "/api/views/" + view + "/recipe", "/api/frames/" + frame + "/thumb"
        }) {
      assertThat(visitor.get(path).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(visitor.json("/api/shoots/" + shoot).path("views")).isEmpty();
    assertThat(visitor.json("/api/bin").findValuesAsString("id")).contains(view);
    assertThat(status("POST", "/api/bin/views/" + view + "/restore")).isEqualTo(204);
    assertThat(visitor.json("/api/views/" + view + "/recipe")).isEqualTo(recipe);
    assertThat(visitor.json("/api/bin").findValuesAsString("id")).doesNotContain(view);
    assertThat(status("POST", "/api/bin/views/" + view + "/restore")).isEqualTo(404);
  }

  /** Originals that another view is made of stay; the last one to go takes them along. */
  @Test
  void originalsStayWhileSomethingIsMadeOfThem() {
    String other = made("Twice");
    visitor.firstView(other);
    String sha =
        server
            .sql(
                "select sha256 from frame f join view v on v.id = f.view_id where v.shoot_id = '"
                    + other
                    + "'")
            .get(0);
    Path kept = server.home().resolve("originals").resolve(sha.substring(0, 2)).resolve(sha);
    assertThat(status("DELETE", "/api/bin/shoots/" + other)).as("not in the bin").isEqualTo(404);
    status("DELETE", "/api/shoots/" + other);
    assertThat(visitor.get("/api/shoots/" + other).statusCode()).isEqualTo(404);
    assertThat(status("DELETE", "/api/bin/shoots/" + other)).isEqualTo(204);
    assertThat(kept).as("the first view is made of it").exists();
    assertThat(server.sql("select id from view where shoot_id = '" + other + "'")).isEmpty();
  }

  /** After thirty days what lies in the bin is deleted, with its originals. */
  @Test
  void theBinIsEmptiedInTheEnd() throws Exception {
    String old = made("Old");
    String fresh = made("Fresh");
    status("DELETE", "/api/shoots/" + old);
    status("DELETE", "/api/shoots/" + fresh);
    server.sql("update shoot set binned = now() - interval '31 days' where id = '" + old + "'");
    Path lonely =
        Files.createDirectories(server.home().resolve("originals/ab")).resolve("ab".repeat(32));
    Files.writeString(lonely, "x");
    server.sql(
        "insert into view (id, shoot_id, position, name, state, width, height) values"
            + " (gen_random_uuid(), '"
            + old
            + "', 0, 'v', 'NEW', 3, 2)");
    server.sql(
        "insert into frame (id, view_id, position, name, sha256, width, height, role, stops,"
            + " stops_known, flash, model) select gen_random_uuid(), id, 0, 'f', '"
            + "ab".repeat(32)
            + "', 3, 2, 'AMBIENT', 0, true, false, '' from view where shoot_id = '"
            + old
            + "'");
    server.bean(Bin.class).sweep();
    assertThat(visitor.json("/api/bin").findValuesAsString("id"))
        .contains(fresh)
        .doesNotContain(old);
    assertThat(lonely).doesNotExist();
  }

  @Test
  void anotherStudioHasABinOfItsOwn() {
    String mine = made("Mine");
    status("DELETE", "/api/shoots/" + mine);
    Visitor stranger = new Visitor(server.url());
    assertThat(stranger.get("/api/bin").statusCode()).isEqualTo(401);
    assertThat(visitor.json("/api/bin").findValuesAsString("id")).contains(mine);
  }
}
