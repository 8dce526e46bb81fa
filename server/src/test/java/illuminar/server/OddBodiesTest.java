package illuminar.server;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * Whatever is sent to whichever address: the answer is a sentence (RFC 9457), never a failure of
 * the server. The addresses are those of the API's own description. Common practice, no source.
 */
class OddBodiesTest {
  private static final List<String> BODIES =
      List.of(
          "",
          "{}",
          "null",
          "[]",
          "[null]",
          "7",
          "\"word\"",
          "{",
          "{\"name\":null}",
          "{\"name\":\"\\u0000\"}",
          "{\"name\":\"" + "ü".repeat(5000) + "\"}",
          "{\"name\":\"50 % off\\u202e\\n\"}",
          "{\"name\":{\"name\":[]}}",
          "{\"email\":\"\\u0000\",\"password\":\"\\u0000\"}",
          "{\"email\":null,\"password\":null}",
          "{\"views\":null}",
          "{\"views\":[null]}",
          "{\"views\":[{\"name\":\"a\",\"anchor\":\"x\",\"frames\":null}]}",
          "{\"views\":[{\"name\":\"a\",\"anchor\":\"\\u0000\",\"frames\":[{\"id\":\"\\u0000\",\"role\":\"AMBIENT\"}]}]}",
          "{\"views\":[],\"formats\":[\"no-such\"],\"longEdge\":-1,\"quality\":1e99}",
          "{\"views\":[\"00000000-0000-0000-0000-000000000000\"],\"formats\":null}",
          "{\"ids\":[null],\"order\":[null]}",
          "{\"ground\":null,\"regions\":null,\"passes\":null}",
          "{\"recipe\":{\"ground\":null},\"edition\":\"x\"}",
          "{\"recipe\":{\"ground\":{\"kind\":\"no-such\"},\"regions\":[],\"passes\":[]}}",
          "[".repeat(3000) + "]".repeat(3000));

  @Test
  void everyAnswerIsOfTheCallersMaking() {
    try (TestServer server = new TestServer("odd_bodies")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      String view = visitor.firstView(shoot);
      JsonNode paths = visitor.json("/api/openapi").path("paths");
      Map<String, String> failed = new TreeMap<>();
      int asked = 0;
      for (String path : paths.propertyNames()) {
        for (String method : paths.path(path).propertyNames()) {
          // signing out or being deleted would end the test
          boolean ends = method.equals("delete");
          List<String> bodies = method.matches("post|put|patch") ? BODIES : List.of("");
          for (String at : ends ? List.<String>of() : addresses(path, shoot, view)) {
            for (String body : bodies) {
              HttpResponse<String> answer =
                  visitor.send(method.toUpperCase(Locale.ROOT), at, body, "If-Match", "\"1\"");
              asked++;
              if (answer.statusCode() >= 500) {
                String shown = body.length() > 60 ? body.substring(0, 60) + "…" : body;
                failed.put(method + " " + at + " " + shown, answer.statusCode() + answer.body());
              }
            }
          }
        }
      }
      assertThat(asked).isGreaterThan(400);
      assertThat(failed).isEmpty();
    }
  }

  /** Bounded before it is read, whether it says how long it is or not. */
  @Test
  void aBodyWithoutEndIsRefused() throws Exception {
    try (TestServer server = new TestServer("long_bodies")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      String large = "{\"name\":\"" + "x".repeat(5_000_000) + "\"}";
      HttpResponse<String> said = visitor.post("/api/shoots", large);
      assertThat(said.statusCode()).isEqualTo(413);
      assertThat(said.body()).contains("more than one request may hold");
      String files = "application/offset+octet-stream";
      assertThat(
              visitor
                  .tus("POST", "/api/shoots", large.getBytes(UTF_8), "Content-Type", files)
                  .statusCode())
          .as("only where files are sent")
          .isEqualTo(413);
      HttpRequest chunked =
          HttpRequest.newBuilder(URI.create(server.url() + "/api/session"))
              .POST(
                  BodyPublishers.ofInputStream(
                      () -> new ByteArrayInputStream(large.getBytes(UTF_8))))
              .header("Content-Type", "application/json")
              .header("X-XSRF-TOKEN", visitor.token())
              .build();
      assertThat(visitor.client.send(chunked, BodyHandlers.ofString()).statusCode())
          .isBetween(400, 499);
      assertThat(visitor.get("/api/shoots/" + shoot).statusCode()).isEqualTo(200);
    }
  }

  /** An address with what is there, and with what is not. */
  private static List<String> addresses(String path, String shoot, String view) {
    if (path.contains("progress") || path.startsWith("/api/account/sessions")) {
      return List.of();
    }
    List<String> out = new ArrayList<>();
    String there = path.contains("/views/") ? view : shoot;
    for (String id : List.of(there, "00000000-0000-0000-0000-000000000000", "a%00b", "%25")) {
      String at = path.replaceAll("\\{[^}]*}", id);
      if (!out.contains(at)) {
        out.add(at);
      }
    }
    return out;
  }
}
