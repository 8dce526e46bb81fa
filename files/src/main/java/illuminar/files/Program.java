package illuminar.files;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;

/**
 * A program that reads a picture and writes it to its standard output, within limits of memory and
 * time. It is run once.
 */
final class Program {
  /** The address space of a process, in bytes: 110 MP in four colours need half of it. */
  private static final long MEMORY = 4_000_000_000L;

  /** What a shell and prlimit say of a command that is not there. */
  private static final int MISSING = 127;

  /** Of a process that was killed. */
  private static final int KILLED = 137;

  private static final int MOST_SAID = 2000;

  private final List<String> command;
  private final Duration patience;
  private int how = MISSING;
  private String said = "";

  /**
   * @param patience after which it is ended
   */
  Program(List<String> command, Duration patience) {
    this.command = command;
    this.patience = patience;
  }

  /** What is made of its output. */
  interface Use<T> {
    T of(InputStream out) throws IOException, BadPicture;
  }

  /**
   * Runs it.
   *
   * @throws IOException if it cannot be started, or its output is not what was waited for; {@link
   *     #missing}, {@link #late} and {@link #said} tell more
   */
  <T> T run(Use<T> use) throws IOException, BadPicture {
    List<String> bounded = new ArrayList<>(List.of("prlimit", "--as=" + MEMORY));
    bounded.addAll(command);
    Process process = new ProcessBuilder(bounded).start();
    CompletableFuture<Void> end =
        CompletableFuture.runAsync(
            process::destroyForcibly,
            CompletableFuture.delayedExecutor(patience.toMillis(), TimeUnit.MILLISECONDS));
    try {
      return use.of(process.getInputStream());
    } finally {
      // whoever writes still sees that nobody reads
      process.getInputStream().close();
      said = words(process.getErrorStream());
      end(process);
      end.cancel(false);
      process.destroyForcibly();
    }
  }

  private static String words(InputStream from) {
    try {
      return new String(from.readNBytes(MOST_SAID), StandardCharsets.UTF_8);
    } catch (IOException e) {
      // it was ended while it spoke
      return "";
    }
  }

  private void end(Process process) {
    try {
      process.waitFor(1, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    how = process.isAlive() ? 0 : process.exitValue();
  }

  /** Whether it is not installed. */
  boolean missing() {
    return how == MISSING;
  }

  /** Whether it took too long and was ended. */
  boolean late() {
    return how == KILLED;
  }

  /** Whether it ended without complaint. */
  boolean well() {
    return how == 0;
  }

  /** What it wrote beside its output. */
  String said() {
    return said;
  }
}
