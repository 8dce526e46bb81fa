package illuminar.server.job;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Codes;
import illuminar.files.BadPicture;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import illuminar.server.reading.PictureDoor;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.dao.DataIntegrityViolationException;
import tools.jackson.databind.JsonNode;

/** Jobs outlive what happens round them: common practice, no source. */
class JobLineTest {
  private static final Duration PATIENCE = Duration.ofMinutes(2);

  private static void wait(String what, Duration most, BooleanSupplier until) {
    long end = System.nanoTime() + most.toNanos();
    while (!until.getAsBoolean()) {
      assertThat(System.nanoTime()).as(what).isLessThan(end);
      LockSupport.parkNanos(50_000_000L);
    }
  }

  private static String state(TestServer server, String job) {
    return server.sql("select state || ' ' || doing from job where id = '" + job + "'").get(0);
  }

  private static void assertLinedUp(TestServer server, String shoot, String job) {
    assertThat(server.sql("select state from job where id = '" + job + "'"))
        .containsExactly("DONE");
    assertThat(server.sql("select problems::text from job where id = '" + job + "'"))
        .containsExactly("[]");
    assertThat(server.sql("select state from view where shoot_id = '" + shoot + "'"))
        .containsExactly("LINED_UP");
    assertThat(server.sql("select count(*)::text from scheduled_tasks where task_name = 'job'"))
        .containsExactly("0");
  }

  /** Longer than the pool waits for a connection, while files are copied and while frames lie. */
  @ParameterizedTest
  @ValueSource(strings = {"taking in", "lining up"})
  void aJobGoesOnWhenTheDatabaseIsBack(String at) {
    try (TestServer server = new TestServer("job_away")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      String job = visitor.takeInCard(shoot).path("id").asString();
      wait("the job comes so far", PATIENCE, () -> state(server, job).contains(at));
      server.databaseReachable(false);
      LockSupport.parkNanos(6_000_000_000L);
      server.databaseReachable(true);
      wait("the job goes on", PATIENCE, () -> state(server, job).startsWith("DONE"));
      assertLinedUp(server, shoot, job);
    }
  }

  @Test
  void aStoppedServerPutsItsJobBackAndTheNextGoesOnAtOnce() {
    try (TestServer server = new TestServer("job_stop")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      String job = visitor.takeInCard(shoot).path("id").asString();
      wait("the job is lining up", PATIENCE, () -> state(server, job).contains("lining up"));
      long asked = System.nanoTime();
      server.stop();
      assertThat(Duration.ofNanos(System.nanoTime() - asked)).isLessThan(Duration.ofSeconds(5));
      assertThat(server.sql("select picked::text from scheduled_tasks where task_name = 'job'"))
          .containsExactly("false");
      server.start();
      wait("the job goes on", PATIENCE, () -> state(server, job).startsWith("DONE"));
      assertLinedUp(server, shoot, job);
    }
  }

  @Test
  void aJobThatLostItsPlaceInLineIsPutBackIntoIt() {
    try (TestServer server = new TestServer("job_lost")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      UUID id = UUID.randomUUID();
      server.sql(
          "insert into job (id, studio_id, shoot_id, kind, subject, state, done, total, doing,"
              + " problems, cancelled, created) select '"
              + id
              + "', studio_id, id, 'INTAKE', '{\"views\":[],\"more\":[]}', 'RUNNING', 0, 1, '',"
              + " '[]', false, now() - interval '1 hour' from shoot where id = '"
              + shoot
              + "'");
      server.bean(JobLine.class).sweep();
      visitor.done(shoot, id.toString(), PATIENCE);
      assertThat(state(server, id.toString())).startsWith("DONE");
    }
  }

  /** Neither a job without a place in line nor a place without a job. */
  @Test
  void aJobThatCannotBeKeptStandsInNoLine() {
    try (TestServer server = new TestServer("job_together")) {
      Job job = new Job(UUID.randomUUID(), UUID.randomUUID(), "INTAKE", "{}");
      org.assertj.core.api.Assertions.assertThatThrownBy(() -> server.bean(Jobs.class).start(job))
          .isInstanceOf(DataIntegrityViolationException.class);
      assertThat(server.sql("select count(*)::text from scheduled_tasks where task_name = 'job'"))
          .containsExactly("0");
    }
  }

  /** Reads files as usual, but for those of which something odd is thrown. */
  static class OddDoor {
    static final Set<String> ODD = ConcurrentHashMap.newKeySet();

    @Bean
    @Primary
    PictureDoor odd() {
      return new PictureDoor() {
        @Override
        public Codes pixels(Path file, String name, BooleanSupplier wanted) throws BadPicture {
          if (ODD.contains(name)) {
            throw new NoSuchElementException("No value present in illuminar.server.Odd");
          }
          return super.pixels(file, name, wanted);
        }
      };
    }
  }

  /**
   * A view that fails is named in plain words, the next comes as if it were alone; again it can.
   */
  @Test
  void oneViewDoesNotStopAnotherAndCanBeTriedAgain() {
    try (TestServer server =
        new TestServer("job_islands", Path.of("../demo/small/instrument-room"), OddDoor.class)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      JsonNode frames = visitor.json("/api/shoots/" + shoot + "/waiting").at("/views/0/frames");
      OddDoor.ODD.add(frames.get(0).path("name").asString());
      String views =
          planned("Flash only", "FLASH", frames, 0, 1)
              + ","
              + planned("Room", "AMBIENT", frames, 1, 4);
      String order = "{\"views\":[" + views + "]}";
      JsonNode job =
          Visitor.JSON.readTree(visitor.post("/api/shoots/" + shoot + "/intake", order).body());
      JsonNode over = visitor.done(shoot, job.path("id").asString(), PATIENCE);
      assertThat(over.path("state").asString()).isEqualTo("DONE");
      assertThat(over.path("problems")).hasSize(1);
      assertThat(over.path("problems").get(0).asString())
          .startsWith("Flash only: Something failed that should not")
          .doesNotContain("illuminar.");
      assertThat(server.sql("select name || ' ' || state from view order by name"))
          .containsExactly("Flash only NEW", "Room LINED_UP");

      OddDoor.ODD.clear();
      String lone = server.sql("select id::text from view where state = 'NEW'").get(0);
      var answer = visitor.post("/api/views/" + lone + "/line-up", "");
      String again = Visitor.JSON.readTree(answer.body()).path("id").asString();
      assertThat(visitor.done(shoot, again, PATIENCE).path("problems")).isEmpty();
      assertThat(server.sql("select name || ' ' || state from view order by name"))
          .as("a single flash frame is a view, too")
          .containsExactly("Flash only LINED_UP", "Room LINED_UP");
    }
  }

  private static String planned(String name, String role, JsonNode frames, int from, int to) {
    List<String> all = new ArrayList<>();
    for (int i = from; i < to; i++) {
      String id = frames.get(i).path("id").asString();
      all.add("{\"id\":\"%s\",\"role\":\"%s\"}".formatted(id, role));
    }
    return "{\"name\":\"%s\",\"anchor\":\"%s\",\"frames\":[%s]}"
        .formatted(name, frames.get(from).path("id").asString(), String.join(",", all));
  }
}
