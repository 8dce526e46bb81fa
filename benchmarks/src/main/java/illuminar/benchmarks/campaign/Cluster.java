package illuminar.benchmarks.campaign;

import illuminar.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * The PostgreSQL cluster that the launcher started for this run, to be killed and started again.
 */
final class Cluster {
  private final Path data;

  Cluster(TestServer server) {
    data = Path.of(server.sql("show data_directory").get(0));
  }

  /** Kills its first process as a power cut would; the others end when they notice. */
  void kill() throws IOException {
    String pid = Files.readAllLines(data.resolve("postmaster.pid")).get(0).strip();
    run("kill", "-9", pid);
  }

  /** Starts it as it was started before, and waits until it answers. */
  void start() throws IOException {
    List<String> command = new ArrayList<>();
    if (System.getProperty("user.name").equals("root")) {
      command.addAll(List.of("setpriv", "--reuid=postgres", "--regid=postgres", "--clear-groups"));
    }
    // the options of the last start lie beside its data
    command.addAll(List.of(bin() + "/pg_ctl", "-D", data.toString(), "-w", "-t", "60", "restart"));
    for (int tries = 0; tries < 20; tries++) {
      if (run(command.toArray(String[]::new)) == 0) {
        return;
      }
    }
    throw new IllegalStateException("PostgreSQL does not start again");
  }

  private static String bin() throws IOException {
    try (Stream<Path> all = Files.list(Path.of("/usr/lib/postgresql"))) {
      return all.sorted().reduce((a, b) -> b).orElseThrow().resolve("bin").toString();
    }
  }

  private static int run(String... command) throws IOException {
    try {
      return new ProcessBuilder(command)
          .redirectOutput(ProcessBuilder.Redirect.DISCARD)
          .redirectError(ProcessBuilder.Redirect.DISCARD)
          .start()
          .waitFor();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }
}
