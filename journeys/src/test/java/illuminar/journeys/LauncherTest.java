package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.assertj.core.api.Assumptions;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Two launchers in one folder: neither takes the other's database away. Common practice. */
class LauncherTest {
  private static final Path PROJECT = Path.of("..").toAbsolutePath().normalize();

  private final List<Process> begun = new ArrayList<>();

  @AfterEach
  void nothingIsLeft() throws Exception {
    for (Process p : begun) {
      p.getOutputStream().close();
      assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
    }
  }

  @Test
  void aSecondOneIsRefusedAndTheFirstKeepsItsDatabase() throws Exception {
    Process first = launched(1);
    String database = first.inputReader().readLine();
    Process second = launched(1);
    assertThat(second.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(second.exitValue()).isEqualTo(1);
    assertThat(said(second)).contains("still running");
    answers(database);
  }

  @Test
  void aSecondOneWaitsWhileTheFirstStopsAndHasADatabaseOfItsOwn() throws Exception {
    Process first = launched(1);
    String database = first.inputReader().readLine();
    answers(database);
    Process second = launched(60);
    try (BufferedReader words = second.errorReader()) {
      assertThat(words.readLine()).contains("waiting for it to stop");
      first.getOutputStream().close();
      assertThat(first.waitFor(60, TimeUnit.SECONDS)).isTrue();
      String its = second.inputReader().readLine();
      answers(its);
      second.getOutputStream().close();
      assertThat(second.waitFor(60, TimeUnit.SECONDS)).isTrue();
      assertThatThrownBy(() -> answers(its)).isInstanceOf(SQLException.class);
    }
  }

  @Test
  void aFolderWithSpacesServes() throws Exception {
    Process p = launched(1, PROJECT.resolve(".run/launcher test of mine"), "300");
    answers(p.inputReader().readLine());
  }

  /** Before anything is begun that could not be ended. */
  @Test
  void aDiskWithoutRoomIsSaid() throws Exception {
    Process p = launched(1, PROJECT.resolve(".run/launcher-test"), "999999999");
    assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
    assertThat(p.exitValue()).isEqualTo(1);
    assertThat(said(p)).contains("MB left").contains("make room and start again");
  }

  /** PostgreSQL serves no root; whoever else starts it has a cluster of his own. */
  @Test
  void anyUserMayStartIt() throws Exception {
    Assumptions.assumeThat(System.getProperty("user.name")).isEqualTo("root");
    Path run = Files.createTempDirectory("illuminar-of-another");
    Files.setPosixFilePermissions(run, PosixFilePermissions.fromString("rwxrwxrwx"));
    Process p =
        launched(
            1, run, "300", "setpriv", "--reuid=nobody", "--regid=nogroup", "--clear-groups", "--");
    answers(p.inputReader().readLine());
    assertThat(Files.getOwner(run.resolve("tried/data")).getName()).isEqualTo("nobody");
  }

  /** Says its database's address, then waits for its input to end. */
  private Process launched(int patience) throws IOException {
    return launched(patience, PROJECT.resolve(".run/launcher-test"), "300");
  }

  /**
   * @param room megabytes that must be free
   * @param by a command that starts it
   */
  private Process launched(int patience, Path run, String room, String... by) throws IOException {
    List<String> command = new ArrayList<>(List.of(by));
    command.addAll(
        List.of("./illuminar", "database", "run", "tried", "sh", "-c", "echo $ILLUMINAR_DB; cat"));
    ProcessBuilder b = new ProcessBuilder(command);
    b.directory(PROJECT.toFile());
    b.environment().put("ILLUMINAR_RUN", run.toString());
    b.environment().put("ILLUMINAR_ROOM", room);
    b.environment().put("ILLUMINAR_PATIENCE", String.valueOf(patience));
    Process p = b.start();
    begun.add(p);
    return p;
  }

  private static void answers(String database) throws SQLException {
    try (var connection = DriverManager.getConnection(database, "illuminar", "")) {
      assertThat(connection.isValid(5)).isTrue();
    }
  }

  private static String said(Process p) throws IOException {
    return new String(p.getErrorStream().readAllBytes(), StandardCharsets.UTF_8);
  }
}
