package illuminar.server;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import org.junit.jupiter.api.Test;

/**
 * Whatever is sent to whichever address: the answer is a sentence (RFC 9457), never a failure of
 * the server. The addresses are those of the API's own description. Common practice, no source.
 */
class OddBodiesTest {
  @Test
  void everyAnswerIsOfTheCallersMaking() {
    try (TestServer server = new TestServer("odd_bodies")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      OddBodies odd = new OddBodies(visitor, shoot, visitor.firstView(shoot));
      odd.askAll();
      assertThat(odd.asked()).isGreaterThan(400);
      assertThat(odd.failed()).isEmpty();
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
}
