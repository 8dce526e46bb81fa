package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.server.storage.Store;
import illuminar.server.storage.StoreAway;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import tools.jackson.databind.JsonNode;

/** A store on another machine may be away for a while. */
class StoreAwayTest {
  /** A store that is away twice, as one on another machine may be. */
  static class StoreAwayTwice {
    private static final AtomicInteger LEFT = new AtomicInteger(2);

    @Bean
    @Primary
    Store shaky(@Qualifier("store") Store usual) {
      return new ShakyStore(usual) {
        @Override
        void fail(String name) throws IOException {
          if (LEFT.getAndDecrement() > 0) {
            throw new StoreAway(name, new IOException("nobody there"));
          }
        }
      };
    }
  }

  @Test
  void anIntakeWaitsForAStoreThatIsAway() {
    try (TestServer server =
        new TestServer(
            "trouble_store", Path.of("../demo/small/instrument-room"), StoreAwayTwice.class)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode job = visitor.done(shoot, visitor.takeInCard(shoot).path("id").asString());
      assertThat(job.path("state").asString()).isEqualTo("DONE");
      assertThat(job.path("problems")).isEmpty();
      assertThat(StoreAwayTwice.LEFT.get()).isLessThan(0);
    }
  }
}
