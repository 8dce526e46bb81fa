package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Codes;
import illuminar.files.BadPicture;
import illuminar.server.reading.PictureDoor;
import illuminar.server.storage.Store;
import illuminar.server.storage.WrittenWhole;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import tools.jackson.databind.JsonNode;

/** Long work that is called off stops where it is: common practice, no source. */
class CancelTest {

  /** A card reader that stops at the third frame until it is let go. */
  static class SlowReader {
    static final CountDownLatch STANDS = new CountDownLatch(3);
    static final CountDownLatch GO = new CountDownLatch(1);

    /** Once it is set, reading a file takes as long as it is wanted. */
    static final AtomicBoolean STUCK = new AtomicBoolean();

    static final CountDownLatch READING = new CountDownLatch(1);

    @Bean
    @Primary
    PictureDoor stuck() {
      return new PictureDoor() {
        @Override
        public Codes pixels(Path file, String name, BooleanSupplier wanted) throws BadPicture {
          while (STUCK.get()) {
            READING.countDown();
            if (!wanted.getAsBoolean()) {
              throw new CancellationException(name);
            }
            LockSupport.parkNanos(100_000_000);
          }
          return super.pixels(file, name, wanted);
        }
      };
    }

    @Bean
    @Primary
    Store slow(@Qualifier("store") Store usual) {
      return new Store() {
        @Override
        public void write(String name, WrittenWhole.Step write, WrittenWhole.Step check)
            throws IOException {
          STANDS.countDown();
          try {
            if (STANDS.getCount() == 0 && !GO.await(60, TimeUnit.SECONDS)) {
              throw new IOException("nobody let it go");
            }
          } catch (InterruptedException e) {
            throw new IOException(e);
          }
          usual.write(name, write, check);
        }

        @Override
        public boolean has(String name) throws IOException {
          return usual.has(name);
        }

        @Override
        public void letGo(String name) {
          throw new UnsupportedOperationException();
        }

        @Override
        public Path find(String name) throws IOException {
          return usual.find(name);
        }
      };
    }
  }

  @Test
  void aCancelledIntakeStopsAndTheCardCanBeTakenInAnew() throws Exception {
    try (TestServer server =
        new TestServer("cancel_test", Path.of("../demo/small/instrument-room"), SlowReader.class)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      String job = visitor.takeInCard(shoot).path("id").asString();
      assertThat(SlowReader.STANDS.await(60, TimeUnit.SECONDS)).isTrue();
      assertThat(visitor.send("DELETE", "/api/jobs/" + job, null).statusCode()).isEqualTo(204);
      SlowReader.GO.countDown();
      JsonNode over = visitor.done(shoot, job);
      assertThat(over.path("state").asString()).isEqualTo("CANCELLED");
      assertThat(over.path("done").asInt()).isLessThan(over.path("total").asInt());
      assertThat(visitor.json("/api/shoots/" + shoot).path("views")).isEmpty();
      assertThat(visitor.send("DELETE", "/api/jobs/" + job, null).body())
          .contains("This is already over.");
      JsonNode again = visitor.done(shoot, visitor.takeInCard(shoot).path("id").asString());
      assertThat(again.path("state").asString()).isEqualTo("DONE");
      assertThat(visitor.json("/api/shoots/" + shoot).path("views")).hasSize(1);
      whatReadsFilesIsEnded(visitor, shoot);
    }
  }

  /** A file that never ends: the job that reads it is over soon after it is called off. */
  private static void whatReadsFilesIsEnded(Visitor visitor, String shoot) throws Exception {
    SlowReader.STUCK.set(true);
    try {
      String view =
          visitor.json("/api/shoots/" + shoot).path("views").path(0).path("id").asString();
      var answer = visitor.post("/api/views/" + view + "/line-up", "");
      String job = Visitor.JSON.readTree(answer.body()).path("id").asString();
      assertThat(SlowReader.READING.await(60, TimeUnit.SECONDS)).isTrue();
      long asked = System.nanoTime();
      assertThat(visitor.send("DELETE", "/api/jobs/" + job, null).statusCode()).isEqualTo(204);
      assertThat(visitor.done(shoot, job).path("state").asString()).isEqualTo("CANCELLED");
      assertThat(Duration.ofNanos(System.nanoTime() - asked)).isLessThan(Duration.ofSeconds(4));
    } finally {
      SlowReader.STUCK.set(false);
    }
  }
}
