package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.server.job.Job;
import illuminar.server.job.JobRows;
import illuminar.server.job.Work;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The demo shoot opens with views that were worked on as a photographer would have. */
class DemoShootTest {
  @TempDir Path dir;

  @AfterEach
  void nothingWorked() {
    System.clearProperty("illuminar.worked");
  }

  /** The shipped work on the Instrument room, done on its small frames. */
  @Test
  void aWorkedViewHoldsOneRevisionForEachPass() throws Exception {
    ObjectNode shipped =
        (ObjectNode) Visitor.JSON.readTree(Files.readString(Path.of("../demo/shoot.json")));
    ArrayNode views = (ArrayNode) shipped.get("views");
    JsonNode first = views.get(0);
    views.removeAll();
    views.add(first);
    Path file = dir.resolve("shoot.json");
    Files.writeString(file, shipped.toString());
    System.setProperty("illuminar.worked", file.toString());
    try (TestServer server = new TestServer("demo_shoot")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode jobs = visitor.json("/api/shoots/" + shoot + "/jobs");
      assertThat(jobs).hasSize(1);
      JsonNode job = visitor.done(shoot, jobs.get(0).path("id").asString());
      assertThat(job.path("state").asString()).isEqualTo("DONE");
      assertThat(job.path("problems")).isEmpty();
      String view = visitor.json("/api/shoots/" + shoot).at("/views/0/id").asString();
      assertThat(visitor.json("/api/shoots/" + shoot).at("/views/0/name").asString())
          .isEqualTo("Instrument room");
      JsonNode state = visitor.json("/api/views/" + view + "/recipe");
      int added = first.at("/added/passes").size();
      assertThat(added).isPositive();
      assertThat(byHand(state)).isEqualTo(added);
      assertThat(state.at("/recipe/regions")).hasSizeGreaterThan(first.at("/added/regions").size());
      assertThat(state.path("revision").asInt()).isEqualTo(1 + added);
      assertThat(state.path("canUndo").asBoolean()).isTrue();
      // as if the process had died before its job was marked as done
      visitor.post("/api/views/" + view + "/undo", "");
      server.sql("update job set state = 'RUNNING', finished = null");
      resume(server, jobs.get(0).path("id").asString());
      assertThat(byHand(visitor.json("/api/views/" + view + "/recipe"))).isEqualTo(added);
      assertThat(visitor.bytes("/api/views/" + view + "/cover")).hasSizeGreaterThan(3000);
    }
  }

  /** How many passes were added by hand: those of the first version say why they are there. */
  private static int byHand(JsonNode state) {
    int n = 0;
    for (JsonNode pass : state.at("/recipe/passes")) {
      n += pass.path("why").asString().isEmpty() ? 1 : 0;
    }
    return n;
  }

  private static void resume(TestServer server, String id) throws Exception {
    Job job = server.bean(JobRows.class).findById(java.util.UUID.fromString(id)).orElseThrow();
    for (Work work : server.beans(Work.class)) {
      if (work.kind().equals("DEMO")) {
        work.run(
            job,
            new Work.Progress() {
              @Override
              public void at(int done, int total, String doing) {
                assertThat(done).isLessThanOrEqualTo(total);
              }

              @Override
              public void problem(String said) {
                throw new AssertionError(said);
              }
            });
      }
    }
  }
}
