package illuminar.benchmarks.running;

import illuminar.server.OwnProcess;
import illuminar.server.TestServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The application in a process of its own, with memory of its own. */
public final class Separate implements AutoCloseable {
  private final OwnProcess application;
  private volatile double most;

  /**
   * Starts it with an empty database.
   *
   * @param card folder of the frames in its card reader
   * @param heap as Java is told
   */
  public Separate(String database, Path card, String heap) throws IOException {
    TestServer prepared = new TestServer(database, card);
    prepared.stop();
    application = OwnProcess.of(prepared, heap);
  }

  public String url() {
    return application.url();
  }

  /** Megabytes that it holds now, without the processes that it started. */
  public double resident() throws IOException {
    return resident(application.process().pid());
  }

  private static double resident(long pid) throws IOException {
    Path file = Path.of("/proc", String.valueOf(pid), "status");
    if (!Files.exists(file)) {
      return 0;
    }
    for (String line : Files.readAllLines(file)) {
      if (line.startsWith("VmRSS:")) {
        return Long.parseLong(line.replaceAll("\\D", "")) / 1000.0;
      }
    }
    return 0;
  }

  /** From now on it is looked at ten times a second; see {@link #most}. */
  public void watch() {
    Thread thread =
        new Thread(
            () -> {
              while (application.process().isAlive()) {
                most = Math.max(most, all());
                java.util.concurrent.locks.LockSupport.parkNanos(100_000_000L);
              }
            });
    thread.setDaemon(true);
    thread.start();
  }

  private double all() {
    try {
      double sum = resident();
      for (ProcessHandle child : application.process().descendants().toList()) {
        sum += resident(child.pid());
      }
      return sum;
    } catch (IOException e) {
      // one of them has just ended
      return 0;
    }
  }

  /** The most megabytes that it and the processes that it started held at once. */
  public double most() {
    return most;
  }

  @Override
  public void close() {
    application.close();
  }
}
