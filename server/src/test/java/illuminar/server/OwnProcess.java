package illuminar.server;

import java.io.IOException;
import java.net.BindException;
import java.net.ServerSocket;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/** The application in a process of its own, at a port that stays, to be stopped and killed. */
public final class OwnProcess implements AutoCloseable {
  private static final int FIRST_PORT = 20_000;
  private static final int PORTS = 12_000;

  /** Runs of tests beside each other begin in different places. */
  private static final AtomicInteger NEXT =
      new AtomicInteger((int) (ProcessHandle.current().pid() * 97 % PORTS));

  private final Begin begin;
  private final int port = freePort();
  private Process process;

  /** Begins the process at a port. */
  private interface Begin {
    Process at(int port) throws IOException;
  }

  private OwnProcess(Begin begin) throws IOException {
    this.begin = begin;
    start();
  }

  /**
   * On the data of a server that is stopped, or shares them.
   *
   * @param options of Java
   */
  public static OwnProcess of(TestServer data, String... options) throws IOException {
    return new OwnProcess(port -> data.process(port, options));
  }

  /** On another machine: on the same database, with a folder of its own. */
  public static OwnProcess elsewhere(TestServer data, String... options) throws IOException {
    return new OwnProcess(port -> data.node(port, options));
  }

  /**
   * A port that nobody listens at, below those that systems hand out to whoever asks for any (RFC
   * 6335 and Linux's range): none of the tests that run beside is given it meanwhile.
   */
  public static int freePort() throws IOException {
    while (true) {
      int port = FIRST_PORT + NEXT.getAndIncrement() % PORTS;
      try (ServerSocket free = new ServerSocket(port)) {
        return free.getLocalPort();
      } catch (BindException e) {
        // another's
      }
    }
  }

  /** Starts it again, and waits until it answers. */
  public void start() throws IOException {
    process = begin.at(port);
    try {
      answers(process, url());
    } catch (IllegalStateException e) {
      process.destroyForcibly();
      throw e;
    }
  }

  /** Waits until a process answers at an address, with whatever. */
  public static void answers(Process process, String url) {
    long end = System.nanoTime() + Visitor.PATIENCE.toNanos();
    while (System.nanoTime() < end) {
      if (!process.isAlive()) {
        throw new IllegalStateException("the application does not run");
      }
      try {
        if (new Visitor(url).get("/api/session").statusCode() < 500) {
          return;
        }
      } catch (IllegalStateException e) {
        // not there yet
      }
      LockSupport.parkNanos(100_000_000L);
    }
    throw new IllegalStateException("the application did not answer");
  }

  public String url() {
    return "http://127.0.0.1:" + port;
  }

  public int port() {
    return port;
  }

  public Process process() {
    return process;
  }

  public void kill() throws InterruptedException {
    process.destroyForcibly().waitFor();
  }

  /** Asks it to stop, as Ctrl-C does, and waits until it has. */
  @Override
  public void close() {
    process.destroy();
    process.onExit().join();
  }
}
