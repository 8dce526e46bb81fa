package illuminar.server;

import illuminar.server.storage.Bucket;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application on a free port, on real PostgreSQL, with a card of its own. */
public final class TestServer implements AutoCloseable {
  private final String database;
  private final Path home;
  private final Path card;
  private ConfigurableApplicationContext application;

  private final Class<?>[] sources;
  private final boolean demo;

  /** Settings beside the usual ones. */
  private final List<String> more;

  /** Starts with an empty database of this name and the small demo frames on the card. */
  public TestServer(String database) {
    this(database, Path.of("../demo/small/instrument-room"));
  }

  /**
   * Starts with an empty database of this name.
   *
   * @param frames folder whose files are on the card
   * @param also parts of the application to put in place of the usual ones
   */
  public TestServer(String database, Path frames, Class<?>... also) {
    this(database, frames, true, List.of(), also);
  }

  /** Starts with an empty database and no studio. */
  static TestServer withoutDemo(String database) {
    return new TestServer(database, Path.of("../demo/small/instrument-room"), false, List.of());
  }

  /** Starts with an empty database of this name, and with some settings. */
  static TestServer with(String database, String... settings) {
    return new TestServer(
        database, Path.of("../demo/small/instrument-room"), true, List.of(settings));
  }

  /** Starts with an empty database of this name, and files in a bucket. */
  public static TestServer onBucket(String database, Path frames, Bucket bucket) {
    return new TestServer(
        database,
        frames,
        true,
        List.of(
            "--illuminar.bucket.address=" + bucket.address(),
            "--illuminar.bucket.name=" + bucket.name(),
            "--illuminar.bucket.key=" + bucket.key(),
            "--illuminar.bucket.secret=" + bucket.secret()));
  }

  private TestServer(
      String database, Path frames, boolean demo, List<String> more, Class<?>... also) {
    this.database = database;
    this.demo = demo;
    this.more = more;
    sources = Stream.concat(Stream.of(Illuminar.class), Stream.of(also)).toArray(Class<?>[]::new);
    try {
      home = Files.createTempDirectory("illuminar-home");
      card = Files.createDirectories(home.resolve("card"));
      try (Stream<Path> files = Files.list(frames)) {
        for (Path f : files.toList()) {
          Files.copy(f, card.resolve(f.getFileName()));
        }
      }
      try (Connection c = DriverManager.getConnection(address("illuminar"), "illuminar", "");
          Statement s = c.createStatement()) {
        s.execute("drop database if exists " + database + " with (force)");
        s.execute("create database " + database);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
    start();
  }

  private static String address(String database) {
    String given = System.getenv("ILLUMINAR_TEST_DB");
    if (given == null) {
      try {
        Process p = new ProcessBuilder("../illuminar", "database", "start", "test-pg").start();
        given = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return given.substring(0, given.lastIndexOf('/') + 1) + database;
  }

  /** Starts the application on what is in the database. */
  public void start() {
    application = SpringApplication.run(sources, arguments(0, home));
  }

  private String[] arguments(int port, Path at) {
    List<String> usual =
        List.of(
            "--server.port=" + port,
            "--spring.datasource.url=" + address(database) + "?stringtype=unspecified",
            "--spring.datasource.username=illuminar",
            "--illuminar.home=" + at,
            "--illuminar.cards=" + card + "," + secondCard(),
            "--illuminar.demo=" + demo,
            "--illuminar.worked=" + System.getProperty("illuminar.worked", "none"),
            "--spring.main.banner-mode=off",
            "--logging.level.root=error");
    return Stream.concat(usual.stream(), more.stream()).toArray(String[]::new);
  }

  /**
   * The application in a process of its own on the same data, to be killed; what it says lies in
   * {@code said.log} in its folder.
   *
   * @param options of Java
   */
  public Process process(int port, String... options) throws IOException {
    return process(port, home, options);
  }

  /**
   * The application on another machine: on the same database, with a folder of its own.
   *
   * @param options of Java
   */
  public Process node(int port, String... options) throws IOException {
    return process(port, Files.createTempDirectory("illuminar-node"), options);
  }

  private Process process(int port, Path at, String... options) throws IOException {
    List<String> command = new ArrayList<>();
    command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    command.addAll(List.of(options));
    command.addAll(List.of("-Djava.awt.headless=true", "-cp"));
    command.add(System.getProperty("java.class.path"));
    command.add(Illuminar.class.getName());
    command.addAll(List.of(arguments(port, at)));
    return new ProcessBuilder(command)
        .redirectErrorStream(true)
        .redirectOutput(ProcessBuilder.Redirect.appendTo(at.resolve("said.log").toFile()))
        .start();
  }

  public void stop() {
    application.close();
  }

  public String url() {
    return "http://127.0.0.1:" + application.getEnvironment().getProperty("local.server.port");
  }

  public <T> T bean(Class<T> type) {
    return application.getBean(type);
  }

  public <T> Collection<T> beans(Class<T> type) {
    return application.getBeansOfType(type).values();
  }

  /** The folder in the reader's second slot; there is none yet. */
  public Path secondCard() {
    return home.resolve("second");
  }

  /** The simulated card's folder. */
  public Path card() {
    return card;
  }

  public Path home() {
    return home;
  }

  /** Runs a statement on the database. */
  public List<String> sql(String statement) {
    return sql(database, statement);
  }

  /** Ends every connection of the application and, until opened again, lets it make no new one. */
  public void databaseReachable(boolean is) {
    sql("illuminar", "alter database " + database + " with allow_connections " + is);
    if (!is) {
      sql(
          "illuminar",
          "select pg_terminate_backend(pid) from pg_stat_activity where datname = '"
              + database
              + "'");
    }
  }

  private static List<String> sql(String database, String statement) {
    try (Connection c = DriverManager.getConnection(address(database), "illuminar", "");
        Statement s = c.createStatement()) {
      List<String> out = new ArrayList<>();
      if (s.execute(statement)) {
        try (ResultSet rows = s.getResultSet()) {
          while (rows.next()) {
            out.add(rows.getString(1));
          }
        }
      }
      return out;
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void close() {
    stop();
  }
}
