package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A start without the demo: whoever comes first founds the studio, and nobody after. */
class FirstStartTest {
  private static final String BODY =
      "{\"studio\":\"North Light\",\"name\":\"Founder\",\"email\":\"f%d@illuminar.test\","
          + "\"password\":\"a long enough secret\"}";

  @Test
  void theFirstOfManyFoundsTheStudio() throws Exception {
    try (TestServer server =
        TestServer.withoutDemo("first_" + System.getProperty("illuminar.fork", "test"))) {
      assertThat(new Visitor(server.url()).json("/api/first").path("wanted").asBoolean()).isTrue();
      ExecutorService pool = Executors.newFixedThreadPool(4);
      List<Callable<HttpResponse<String>>> all =
          IntStream.range(0, 4)
              .<Callable<HttpResponse<String>>>mapToObj(
                  k ->
                      () -> {
                        Visitor who = new Visitor(server.url());
                        who.get("/api/session");
                        return who.post("/api/first", BODY.formatted(k));
                      })
              .toList();
      int founded = 0;
      for (Future<HttpResponse<String>> f : pool.invokeAll(all)) {
        int status = f.get().statusCode();
        assertThat(status).isIn(204, 409);
        founded += status == 204 ? 1 : 0;
      }
      pool.shutdown();
      assertThat(founded).isEqualTo(1);
      assertThat(server.sql("select count(*) from studio")).containsExactly("1");
      String email = server.sql("select email from account").get(0);
      Visitor owner = new Visitor(server.url()).signedIn(email, "a long enough secret");
      assertThat(owner.json("/api/session").path("role").asString()).isEqualTo("OWNER");
      String shoot =
          Visitor.JSON
              .readTree(owner.post("/api/shoots", "{\"name\":\"One\"}").body())
              .path("id")
              .asString();
      assertThat(owner.json("/api/shoots/" + shoot + "/waiting").path("views"))
          .as("the simulated card is the demo studio's")
          .isEmpty();
    }
  }
}
