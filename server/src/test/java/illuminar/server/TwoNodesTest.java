package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.server.storage.Bucketed;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Two machines on one database and one bucket, each with a folder of its own. Our own law. */
class TwoNodesTest {

  @Test
  void eitherServesWhatTheOtherDidAndGoesOnWithItsJobs() throws Exception {
    try (Bucketed bucket = new Bucketed();
        TestServer one =
            TestServer.onBucket(
                "two_nodes", Path.of("../demo/small/instrument-room"), bucket.bucket())) {
      try (OwnProcess other = OwnProcess.elsewhere(one)) {
        Visitor visitor = new Visitor(one.url()).signedIn();
        String shoot = visitor.demoShoot();
        String view = visitor.firstView(shoot);
        byte[] cover = visitor.bytes("/api/views/" + view + "/cover");
        visitor.moved(other.url());
        assertThat(visitor.bytes("/api/views/" + view + "/cover"))
            .as("from originals in the bucket")
            .isEqualTo(cover);
        JsonNode job = visitor.deliver(shoot, List.of(view), "JPEG");
        assertThat(visitor.done(shoot, job.path("id").asString()).path("state").asString())
            .isEqualTo("DONE");
        String file = "/api/delivered/" + delivered(visitor, shoot);
        byte[] there = visitor.bytes(file);
        visitor.moved(one.url());
        assertThat(visitor.bytes(file)).isEqualTo(there).hasSizeGreaterThan(10_000);
      }
    }
  }

  /** A machine is killed in the middle of a job: the other takes it up. */
  @Test
  void aJobOfAMachineThatDiedIsTakenUp() throws Exception {
    try (Bucketed bucket = new Bucketed();
        TestServer one =
            TestServer.onBucket(
                "two_nodes_job", Path.of("../demo/small/instrument-room"), bucket.bucket())) {
      one.stop();
      OwnProcess dies = OwnProcess.elsewhere(one);
      Visitor visitor = new Visitor(dies.url()).signedIn();
      String shoot = visitor.demoShoot();
      String job = visitor.takeInCard(shoot).path("id").asString();
      visitor.await(shoot, job, j -> j.path("done").asInt() >= 2);
      one.start();
      dies.kill();
      visitor.moved(one.url());
      JsonNode over = visitor.done(shoot, job, Duration.ofMinutes(3));
      assertThat(over.path("state").asString()).isEqualTo("DONE");
      assertThat(over.path("problems")).isEmpty();
      assertThat(visitor.json("/api/shoots/" + shoot).path("views")).hasSize(1);
    }
  }

  private static String delivered(Visitor visitor, String shoot) {
    return visitor.json("/api/shoots/" + shoot + "/delivered").get(0).path("id").asString();
  }
}
