package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Studio;
import illuminar.server.account.StudioRole;
import illuminar.server.account.Studios;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Who may see and change what. */
class SignInTest {
  private static final Opened OPENED = Opened.view();
  private final TestServer server = OPENED.server();
  private final Visitor visitor = OPENED.visitor();
  private final String shoot = OPENED.shoot();
  private final String view = OPENED.id();

  @Test
  void nothingWithoutSignIn() {
    Visitor stranger = new Visitor(server.url());
    assertThat(stranger.get("/api/shoots").statusCode()).isEqualTo(401);
    assertThat(stranger.get("/api/shoots/" + shoot + "/waiting").statusCode()).isEqualTo(401);
    stranger.get("/api/session");
    HttpResponse<String> wrong =
        stranger.post("/api/session", "{\"email\":\"demo@illuminar.test\",\"password\":\"no\"}");
    assertThat(wrong.statusCode()).isEqualTo(401);
    assertThat(wrong.body()).contains("e-mail or the password is wrong");
  }

  /** Wrong passwords cannot be tried for ever; other accounts are not shut out by it. */
  @Test
  void aPasswordIsGuessedAFewTimesOnly() {
    Studio guessed = server.bean(Studios.class).save(new Studio("Guessed", "", false));
    String secret = server.bean(PasswordEncoder.class).encode("right");
    server
        .bean(Accounts.class)
        .save(
            new Account(
                guessed.id(), "guessed@illuminar.test", "Guessed", secret, StudioRole.OWNER));
    Visitor stranger = new Visitor(server.url());
    stranger.get("/api/session");
    String wrong = "{\"email\":\"guessed@illuminar.test\",\"password\":\"%d\"}";
    for (int k = 0; k < 10; k++) {
      assertThat(stranger.post("/api/session", wrong.formatted(k)).statusCode()).isEqualTo(401);
    }
    HttpResponse<String> shut =
        stranger.post(
            "/api/session", "{\"email\":\"Guessed@illuminar.test \",\"password\":\"right\"}");
    assertThat(shut.statusCode()).isEqualTo(429);
    assertThat(shut.body()).contains("Too many wrong attempts. Try again in");
    assertThat(new Visitor(server.url()).signedIn().get("/api/shoots").statusCode()).isEqualTo(200);
  }

  /** Who forgets to sign out does not fill the table: the session not used for longest goes. */
  @Test
  void onePersonHasSoManySessions() {
    Studio busy = server.bean(Studios.class).save(new Studio("Busy", "", false));
    String secret = server.bean(PasswordEncoder.class).encode("busy");
    Account one =
        server
            .bean(Accounts.class)
            .save(new Account(busy.id(), "busy@illuminar.test", "B", secret, StudioRole.OWNER));
    List<Visitor> visits = new ArrayList<>();
    for (int k = 0; k < 22; k++) {
      visits.add(new Visitor(server.url()).signedIn("busy@illuminar.test", "busy"));
    }
    assertThat(visits.get(0).get("/api/shoots").statusCode()).isEqualTo(401);
    assertThat(visits.get(21).get("/api/shoots").statusCode()).isEqualTo(200);
    assertThat(
            server.sql(
                "select count(*) from spring_session where principal_name = '" + one.id() + "'"))
        .containsExactly("20");
  }

  /** Behind a proxy that ends TLS (RFC 6797, RFC 6265): only then. */
  @Test
  void cookiesAreSecureAndHstsIsSaidBehindTls() throws Exception {
    try (TestServer behind =
        TestServer.with("sign_in_tls", "--server.forward-headers-strategy=native")) {
      Visitor visitor = new Visitor(behind.url());
      String signIn = "{\"email\":\"demo@illuminar.test\",\"password\":\"heather\"}";
      visitor.get("/api/session");
      HttpResponse<String> tls =
          visitor.send("POST", "/api/session", signIn, "X-Forwarded-Proto", "https");
      assertThat(tls.headers().firstValue("Strict-Transport-Security"))
          .hasValueSatisfying(v -> assertThat(v).contains("max-age=31536000"));
      assertThat(tls.headers().allValues("Set-Cookie"))
          .isNotEmpty()
          .allSatisfy(cookie -> assertThat(cookie).contains("; Secure"));
      HttpResponse<String> plain = new Visitor(behind.url()).get("/api/session");
      assertThat(plain.headers().firstValue("Strict-Transport-Security")).isEmpty();
    }
  }

  /** Checking a password takes long by design; who waits for a page does not wait for it. */
  @Test
  void manyWhoSignInLeaveOthersTheirPages() throws Exception {
    ExecutorService crowd = Executors.newFixedThreadPool(30);
    try {
      List<Future<Integer>> answers = new ArrayList<>();
      for (int k = 0; k < 30; k++) {
        Visitor stranger = new Visitor(server.url());
        stranger.get("/api/session");
        String body = "{\"email\":\"crowd%d@illuminar.test\",\"password\":\"no\"}".formatted(k);
        answers.add(crowd.submit(() -> stranger.post("/api/session", body).statusCode()));
      }
      long slowest = 0;
      for (int k = 0; k < 10; k++) {
        long start = System.nanoTime();
        assertThat(visitor.get("/api/formats").statusCode()).isEqualTo(200);
        slowest = Math.max(slowest, System.nanoTime() - start);
      }
      assertThat(Duration.ofNanos(slowest)).isLessThan(Duration.ofSeconds(1));
      for (Future<Integer> answer : answers) {
        assertThat(answer.get()).isIn(401, 429);
      }
    } finally {
      crowd.shutdownNow();
    }
  }

  /** A name that somebody points here reaches nothing. Source: RFC 9110, 15.5.20. */
  @Test
  void itAnswersUnderItsOwnNamesOnly() throws Exception {
    int port = URI.create(server.url()).getPort();
    for (String name : List.of("127.0.0.1", "localhost", "elsewhere.example")) {
      try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
        String request =
            "GET /api/session HTTP/1.1\r\nHost: " + name + "\r\nConnection: close\r\n\r\n";
        socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
        String answer =
            new String(socket.getInputStream().readAllBytes(), StandardCharsets.US_ASCII);
        assertThat(answer)
            .startsWith("HTTP/1.1 " + (name.contains("example") ? "421" : "401"))
            .doesNotContain("SESSION=");
      }
    }
  }

  @Test
  void aChangeWithoutItsTokenIsRefused() {
    assertThat(visitor.withoutToken("/api/shoots", "{\"name\":\"x\"}").statusCode()).isEqualTo(403);
    Visitor bare = new Visitor(server.url());
    assertThat(bare.post("/api/shoots", "{\"name\":\"x\"}").statusCode()).isEqualTo(403);
  }

  @Test
  void pagesForbidResourcesFromOutside() {
    HttpResponse<String> page = visitor.get("/shoots");
    assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
        .contains("default-src 'self'");
  }

  @Test
  void anotherStudioSeesNothing() {
    Studio other = server.bean(Studios.class).save(new Studio("Elsewhere", "", false));
    String secret = server.bean(PasswordEncoder.class).encode("secret");
    server
        .bean(Accounts.class)
        .save(new Account(other.id(), "other@illuminar.test", "Other", secret, StudioRole.OWNER));
    Visitor stranger = new Visitor(server.url()).signedIn("other@illuminar.test", "secret");
    assertThat(stranger.get("/api/shoots").body()).isEqualTo("[]");
    String frame = visitor.json("/api/views/" + view).at("/frames/0/id").asString();
    for (String path :
        new String[] {
          "/api/shoots/" + shoot,
          "/api/views/" + view,
          "/api/views/" + view + "/recipe",
          "/api/views/" + view + "/cover",
          "/api/views/" + view + "/board",
          "/api/frames/" + frame + "/thumb",
          "/api/shoots/" + shoot + "/jobs",
          "/api/shoots/" + shoot + "/delivered"
        }) {
      assertThat(stranger.get(path).statusCode()).as(path).isEqualTo(404);
    }
  }
}
