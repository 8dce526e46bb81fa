package illuminar.benchmarks.running;

import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;

/** The application in a process of its own, with memory of its own. */
public final class Separate implements AutoCloseable {
  private static final int PATIENCE = 600;

  private final Process process;
  private final String url;
  private volatile double most;

  /**
   * Starts it with an empty database.
   *
   * @param card folder of the frames in its card reader
   * @param heap as Java is told
   */
  public Separate(String database, Path card, String heap)
      throws IOException, InterruptedException {
    TestServer prepared = new TestServer(database, card);
    prepared.stop();
    int port;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    url = "http://127.0.0.1:" + port;
    process = prepared.process(port, heap);
    try {
      answers();
    } catch (IllegalStateException e) {
      process.destroyForcibly();
      throw e;
    }
  }

  public String url() {
    return url;
  }

  private void answers() throws InterruptedException {
    for (int i = 0; i < PATIENCE && process.isAlive(); i++) {
      try {
        if (new Visitor(url).get("/api/session").statusCode() < 500) {
          return;
        }
      } catch (IllegalStateException e) {
        Thread.sleep(100);
      }
    }
    throw new IllegalStateException("the application does not answer");
  }

  /** Megabytes that it holds now, without the processes that it started. */
  public double resident() throws IOException {
    return resident(process.pid());
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
              while (process.isAlive()) {
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
      for (ProcessHandle child : process.descendants().toList()) {
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
    process.destroy();
    process.onExit().join();
  }
}
