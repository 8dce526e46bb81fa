package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A studio's people: what they are asked for, what they may do, what ends. Common practice. */
class PeopleTest {
  private static final String PASSWORD = "a long enough secret";
  private static TestServer server;
  private static Visitor owner;

  @BeforeAll
  static void start() {
    server = new TestServer("people_" + System.getProperty("illuminar.fork", "test"));
    owner = new Visitor(server.url()).signedIn();
  }

  @AfterAll
  static void stop() {
    server.close();
  }

  private static HttpResponse<String> join(Visitor who, String link, String email) {
    who.get("/api/session");
    return who.post(
        "/api" + link,
        "{\"name\":\"New colleague\",\"email\":\"%s\",\"password\":\"%s\"}"
            .formatted(email, PASSWORD));
  }

  private static String invited(String role) {
    String answer = owner.post("/api/studio/invitations", "{\"role\":\"" + role + "\"}").body();
    return Visitor.JSON.readTree(answer).path("link").asString();
  }

  private static Visitor joined(String role, String email) {
    Visitor who = new Visitor(server.url());
    assertThat(join(who, invited(role), email).statusCode()).isEqualTo(204);
    who.get("/api/session");
    return who;
  }

  private static String id(String email) {
    for (JsonNode p : owner.json("/api/studio").path("people")) {
      if (p.path("email").asString().equals(email)) {
        return p.path("id").asString();
      }
    }
    throw new AssertionError("nobody signs in as " + email);
  }

  @Test
  void anInvitationIsGoodForOnePerson() {
    String link = invited("PHOTOGRAPHER");
    Visitor first = new Visitor(server.url());
    JsonNode bid = first.json("/api" + link);
    assertThat(bid.path("studio").asString()).isEqualTo("Heathlight Studio");
    assertThat(bid.path("role").asString()).isEqualTo("PHOTOGRAPHER");
    assertThat(join(first, link, "first@illuminar.test").statusCode()).isEqualTo(204);
    assertThat(first.json("/api/session").path("role").asString()).isEqualTo("PHOTOGRAPHER");
    assertThat(first.get("/api/shoots").body()).contains("Fennick Weather House");
    HttpResponse<String> again = join(new Visitor(server.url()), link, "second@illuminar.test");
    assertThat(again.statusCode()).isEqualTo(404);
    assertThat(again.body()).contains("was used, withdrawn, or is older than a week");
  }

  @Test
  void aWithdrawnOrOldInvitationOpensNothing() {
    String withdrawn = invited("EDITOR");
    JsonNode open = owner.json("/api/studio").path("invited");
    String id = open.get(open.size() - 1).path("id").asString();
    owner.send("DELETE", "/api/studio/invitations/" + id, null);
    assertThat(owner.get("/api" + withdrawn).statusCode()).isEqualTo(404);
    String old = invited("EDITOR");
    server.sql("update invitation set until = now() - interval '1 minute'");
    assertThat(owner.get("/api" + old).statusCode()).isEqualTo(404);
    assertThat(server.sql("select hash from invitation"))
        .as("the link itself is not kept")
        .noneMatch(old::endsWith);
  }

  @Test
  void anEditorTakesNothingInAndDeletesNothing() {
    Visitor editor = joined("EDITOR", "editor@illuminar.test");
    String shoot = editor.demoShoot();
    for (HttpResponse<String> refused :
        List.of(
            editor.post("/api/shoots", "{\"name\":\"Own\"}"),
            editor.post("/api/shoots/" + shoot + "/intake", "{\"views\":[]}"),
            editor.tus("POST", "/api/shoots/" + shoot + "/uploads", new byte[0]),
            editor.send("DELETE", "/api/shoots/" + shoot, null),
            editor.get("/api/studio"))) {
      assertThat(refused.statusCode()).as(refused.uri().toString()).isEqualTo(403);
      assertThat(refused.body()).contains("Your role in the studio does not allow this");
    }
    assertThat(editor.get("/api/shoots/" + shoot + "/waiting").statusCode()).isEqualTo(200);
  }

  @Test
  void aPhotographerTakesInAndDeletesButDoesNotRunTheStudio() {
    Visitor photographer = joined("PHOTOGRAPHER", "photographer@illuminar.test");
    HttpResponse<String> made = photographer.post("/api/shoots", "{\"name\":\"Own\"}");
    assertThat(made.statusCode()).isEqualTo(201);
    String shoot = Visitor.JSON.readTree(made.body()).path("id").asString();
    assertThat(photographer.send("DELETE", "/api/shoots/" + shoot, null).statusCode())
        .isEqualTo(204);
    assertThat(photographer.post("/api/studio/invitations", "{\"role\":\"OWNER\"}").statusCode())
        .isEqualTo(403);
    assertThat(owner.get("/api/studio").body())
        .contains("New colleague", "moved the shoot Own to the bin");
  }

  @Test
  void aChangedRoleCountsAtOnce() {
    Visitor who = joined("PHOTOGRAPHER", "changed@illuminar.test");
    String id = id("changed@illuminar.test");
    owner.send("PUT", "/api/studio/people/" + id + "/role", "{\"role\":\"EDITOR\"}");
    assertThat(who.get("/api/shoots").statusCode()).as("signs in again").isEqualTo(401);
    who.signedIn("changed@illuminar.test", PASSWORD);
    assertThat(who.post("/api/shoots", "{\"name\":\"No\"}").statusCode()).isEqualTo(403);
    owner.send("DELETE", "/api/studio/people/" + id, null);
    assertThat(who.get("/api/shoots").statusCode()).isEqualTo(401);
  }

  @Test
  void aStudioKeepsAnOwner() {
    String me = id("demo@illuminar.test");
    String role = "/api/studio/people/" + me + "/role";
    assertThat(owner.send("PUT", role, "{\"role\":\"EDITOR\"}").body())
        .contains("one owner at least");
    assertThat(owner.send("DELETE", "/api/studio/people/" + me, null).statusCode()).isEqualTo(409);
    assertThat(owner.get("/api/shoots").statusCode()).isEqualTo(200);
  }

  @Test
  void aNewPasswordSignsOutEveryoneElseWhoHasTheOld() {
    Visitor here = joined("EDITOR", "twice@illuminar.test");
    Visitor there = new Visitor(server.url()).signedIn("twice@illuminar.test", PASSWORD);
    String change = "{\"now\":\"%s\",\"then\":\"%s\"}";
    assertThat(
            here.send("PUT", "/api/account/password", change.formatted("wrong", "x".repeat(12)))
                .body())
        .contains("The password so far is wrong");
    assertThat(
            here.send("PUT", "/api/account/password", change.formatted(PASSWORD, "short")).body())
        .contains("A password has 10 to 200 characters");
    assertThat(there.get("/api/shoots").statusCode()).isEqualTo(200);
    here.send("PUT", "/api/account/password", change.formatted(PASSWORD, "another long secret"));
    assertThat(here.get("/api/shoots").statusCode()).isEqualTo(200);
    assertThat(there.get("/api/shoots").statusCode()).isEqualTo(401);
  }

  @Test
  void signingOutEverywhereEndsEverySession() {
    Visitor here = joined("EDITOR", "everywhere@illuminar.test");
    Visitor there = new Visitor(server.url()).signedIn("everywhere@illuminar.test", PASSWORD);
    here.send("DELETE", "/api/account/sessions", null);
    assertThat(here.get("/api/shoots").statusCode()).isEqualTo(401);
    assertThat(there.get("/api/shoots").statusCode()).isEqualTo(401);
  }

  @Test
  void anAddressSignsInForOneAccountOnly() {
    HttpResponse<String> twin =
        join(new Visitor(server.url()), invited("EDITOR"), " Demo@illuminar.test ");
    assertThat(twin.statusCode()).isEqualTo(409);
    assertThat(join(new Visitor(server.url()), invited("EDITOR"), "no address").body())
        .contains("not an e-mail address");
  }

  /** Nobody is signed out by a restart, nor is the second studio founded by whoever comes. */
  @Test
  void aRestartKeepsPeopleSignedIn() {
    assertThat(owner.json("/api/first").path("wanted").asBoolean()).isFalse();
    assertThat(
            owner
                .post(
                    "/api/first",
                    "{\"studio\":\"S\",\"name\":\"N\",\"email\":\"n@illuminar.test\",\"password\":\"%s\"}"
                        .formatted(PASSWORD))
                .statusCode())
        .isEqualTo(409);
    server.stop();
    server.start();
    owner.moved(server.url());
    assertThat(owner.get("/api/shoots").statusCode()).isEqualTo(200);
  }
}
