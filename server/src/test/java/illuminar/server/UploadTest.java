package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import java.util.HexFormat;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import tools.jackson.databind.JsonNode;

/**
 * Uploads by the tus protocol, version 1.0.0 (tus.io/protocols/resumable-upload): the core, and its
 * extensions creation, checksum and termination; and what becomes of the files.
 */
class UploadTest {
  private static final Path FRAMES = Path.of("../demo/small/instrument-room");
  private static final byte[] NOTHING = new byte[0];
  private static TestServer server;
  private static Visitor visitor;
  private String shoot;

  @BeforeAll
  static void begin() throws Exception {
    // no card in the reader but an empty one
    server = new TestServer("upload_test", Files.createTempDirectory("illuminar-empty"));
    visitor = new Visitor(server.url()).signedIn();
  }

  @AfterAll
  static void end() {
    server.close();
  }

  @BeforeEach
  void newShoot() {
    shoot = json(visitor.post("/api/shoots", "{\"name\":\"Sent\"}")).path("id").asString();
  }

  private static JsonNode json(HttpResponse<String> answer) {
    return Visitor.JSON.readTree(answer.body());
  }

  private static byte[] frame() throws Exception {
    try (Stream<Path> files = Files.list(FRAMES)) {
      return Files.readAllBytes(files.sorted().findFirst().orElseThrow());
    }
  }

  private static String sha256(byte[] bytes) throws Exception {
    return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
  }

  private static String metadata(String name, String sha) {
    return "filename " + base64(name) + ",sha256 " + base64(sha);
  }

  private static String base64(String text) {
    return Base64.getEncoder().encodeToString(text.getBytes(StandardCharsets.UTF_8));
  }

  private HttpResponse<String> create(String name, String sha, long length) {
    return visitor.tus(
        "POST",
        "/api/shoots/" + shoot + "/uploads",
        NOTHING,
        "Upload-Length",
        String.valueOf(length),
        "Upload-Metadata",
        metadata(name, sha));
  }

  private String begun(String name, byte[] bytes) throws Exception {
    HttpResponse<String> created = create(name, sha256(bytes), bytes.length);
    assertThat(created.statusCode()).isEqualTo(201);
    return URI.create(server.url())
        .resolve(created.headers().firstValue("Location").orElseThrow())
        .toString();
  }

  private static HttpResponse<String> patch(String at, byte[] bytes, int from, String... more) {
    String[] headers = {
      "Content-Type", "application/offset+octet-stream", "Upload-Offset", String.valueOf(from)
    };
    return visitor.tus(
        "PATCH",
        at,
        bytes,
        Stream.concat(Stream.of(headers), Stream.of(more)).toArray(String[]::new));
  }

  private void sent(String name, byte[] bytes) throws Exception {
    assertThat(patch(begun(name, bytes), bytes, 0).statusCode()).isEqualTo(204);
  }

  private JsonNode waiting() {
    return visitor.json("/api/shoots/" + shoot + "/waiting");
  }

  private Stream<String> ownFrames() {
    return waiting().findValuesAsString("id").stream().filter(i -> i.startsWith("sent/"));
  }

  /** "HEAD … MUST include Upload-Offset"; the next PATCH goes on from there. */
  @Test
  void aFileGoesOnFromWhereItWasLeftAlsoAfterARestart() throws Exception {
    byte[] bytes = frame();
    String at = begun("kept.jpg", bytes);
    int half = bytes.length / 2;
    HttpResponse<String> first = patch(at, Arrays.copyOf(bytes, half), 0);
    assertThat(first.statusCode()).isEqualTo(204);
    assertThat(first.headers().firstValue("Upload-Offset")).contains(String.valueOf(half));
    String path = URI.create(at).getPath();
    server.stop();
    server.start();
    visitor = new Visitor(server.url()).signedIn();
    HttpResponse<String> head = visitor.tus("HEAD", path, NOTHING);
    assertThat(head.headers().firstValue("Upload-Offset")).contains(String.valueOf(half));
    assertThat(head.headers().firstValue("Cache-Control")).contains("no-store");
    assertThat(patch(path, Arrays.copyOfRange(bytes, half, bytes.length), half).statusCode())
        .isEqualTo(204);
    assertThat(ownFrames()).containsExactly("sent/kept.jpg");
    assertThat(visitor.tus("HEAD", path, NOTHING).statusCode()).isIn(404, 410);
  }

  /** "If the offsets do not match, the Server MUST respond with the 409 Conflict status". */
  @Test
  void anOffsetThatDoesNotMatchIsAConflict() throws Exception {
    byte[] bytes = frame();
    String at = begun("odd.jpg", bytes);
    assertThat(patch(at, bytes, 7).statusCode()).isEqualTo(409);
    assertThat(ownFrames()).isEmpty();
  }

  /** "… MUST respond with the 412 Precondition Failed status" to a version it does not know. */
  @Test
  void anotherVersionOfTheProtocolIsRefused() {
    HttpResponse<String> other =
        visitor.send("POST", "/api/shoots/" + shoot + "/uploads", null, "Upload-Length", "5");
    assertThat(other.statusCode()).isEqualTo(412);
  }

  /** Checksum extension: "460 Checksum Mismatch", and what was sent with it does not count. */
  @Test
  void whatDoesNotMatchItsChecksumDoesNotCount() throws Exception {
    byte[] bytes = frame();
    String at = begun("torn.jpg", bytes);
    String wrong = "sha1 " + base64("twenty bytes of sha-1");
    assertThat(patch(at, bytes, 0, "Upload-Checksum", wrong).statusCode()).isEqualTo(460);
    assertThat(visitor.tus("HEAD", at, NOTHING).headers().firstValue("Upload-Offset"))
        .contains("0");
  }

  /** A file that was changed while it was sent is not the one that was announced. */
  @Test
  void aFileThatIsNotWhatItWasSaidToBeIsNotKept() throws Exception {
    byte[] bytes = frame();
    String at = begun("changed.jpg", bytes);
    byte[] other = bytes.clone();
    other[other.length / 2] ^= 1;
    assertThat(patch(at, other, 0).statusCode()).isEqualTo(460);
    assertThat(ownFrames()).isEmpty();
    assertThat(visitor.tus("HEAD", at, NOTHING).statusCode()).isIn(404, 410);
  }

  @Test
  void whatNoDiskHoldsIsRefusedBeforeItsFirstByte() {
    assertThat(create("huge.tif", "", 900_000_000_000_000L).statusCode()).isIn(413, 507);
    assertThat(create("large.tif", "", (2L << 30) + 1).statusCode()).isIn(413, 507);
  }

  @Test
  void terminationEndsAnUpload() throws Exception {
    String at = begun("stopped.jpg", frame());
    assertThat(visitor.tus("DELETE", at, NOTHING).statusCode()).isEqualTo(204);
    assertThat(visitor.tus("HEAD", at, NOTHING).statusCode()).isIn(404, 410);
  }

  @Test
  void whatIsThereNeedNotBeSentAndIsNotKeptTwice() throws Exception {
    byte[] bytes = frame();
    String ask = "{\"hashes\":[\"" + sha256(bytes) + "\"]}";
    String known = "/api/shoots/" + shoot + "/arrivals/known";
    assertThat(json(visitor.post(known, ask)).path("here")).isEmpty();
    sent("a.jpg", bytes);
    assertThat(json(visitor.post(known, ask)).path("here")).hasSize(1);
    sent("b.jpg", bytes);
    assertThat(ownFrames()).containsExactly("sent/a.jpg");
  }

  /** Names of any script; no name is a path; the same name twice gets a number. */
  @Test
  void namesAreShownAndNeverPaths() throws Exception {
    byte[] bytes = frame();
    sent("../../etc/Küche – 台所.jpg", bytes);
    byte[] other = Arrays.copyOf(bytes, bytes.length + 1);
    sent("Küche – 台所.jpg", other);
    assertThat(ownFrames()).containsExactly("sent/Küche – 台所 (2).jpg", "sent/Küche – 台所.jpg");
    sent("x".repeat(400) + ".jpg", Arrays.copyOf(bytes, bytes.length + 2));
    assertThat(ownFrames()).allMatch(n -> n.length() < 200);
  }

  /** What is no picture is named and can be thrown away; the rest is not touched by it. */
  @Test
  void whatIsNoPictureIsNamedAndThrownAway() throws Exception {
    sent("good.jpg", frame());
    sent("notes.jpg", "key is under the pot".getBytes(StandardCharsets.UTF_8));
    sent("empty.jpg", new byte[] {1});
    JsonNode sheet = waiting();
    assertThat(sheet.path("refused").toString()).contains("notes.jpg").contains("empty.jpg");
    assertThat(ownFrames()).containsExactly("sent/good.jpg");
    String gone = "/api/shoots/" + shoot + "/arrivals/notes.jpg";
    assertThat(visitor.send("DELETE", gone, null).statusCode()).isEqualTo(204);
    assertThat(visitor.send("DELETE", gone, null).statusCode()).isEqualTo(404);
    assertThat(waiting().path("refused").toString()).doesNotContain("notes.jpg");
  }

  /** From files that were sent to a view; what was taken in no longer waits. */
  @Test
  void whatWasSentIsTakenIn() throws Exception {
    try (Stream<Path> files = Files.list(FRAMES)) {
      for (Path f : files.sorted().toList()) {
        sent(f.getFileName().toString(), Files.readAllBytes(f));
      }
    }
    JsonNode view =
        waiting()
            .path("views")
            .valueStream()
            .filter(v -> v.at("/frames/0/id").asString().startsWith("sent/"))
            .findFirst()
            .orElseThrow();
    String order = "{\"views\":[" + view + "]}";
    String job =
        json(visitor.post("/api/shoots/" + shoot + "/intake", order)).path("id").asString();
    JsonNode end = visitor.done(shoot, job);
    assertThat(end.path("state").asString()).isEqualTo("DONE");
    assertThat(end.path("problems")).isEmpty();
    assertThat(visitor.json("/api/shoots/" + shoot).path("views")).hasSize(1);
    assertThat(ownFrames()).isEmpty();
    try (Stream<Path> left = Files.list(server.home().resolve("arrived").resolve(shoot))) {
      assertThat(left).isEmpty();
    }
  }

  /** Another studio finds neither the shoot nor what is being sent to it. */
  @Test
  void nobodyElseFindsIt() throws Exception {
    byte[] bytes = frame();
    String at = begun("mine.jpg", bytes);
    UUID studio = UUID.randomUUID();
    server.sql("insert into studio (id, name) values ('" + studio + "', 'Next door')");
    server.sql(
        "insert into account (id, studio_id, email, name, password) values ('"
            + UUID.randomUUID()
            + "', '"
            + studio
            + "', 'next-"
            + studio
            + "@illuminar.test', 'Next', '"
            + Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8().encode("door")
            + "')");
    Visitor next = new Visitor(server.url()).signedIn("next-" + studio + "@illuminar.test", "door");
    assertThat(next.tus("HEAD", at, NOTHING).statusCode()).isEqualTo(404);
    assertThat(next.get("/api/shoots/" + shoot + "/waiting").statusCode()).isEqualTo(404);
    String mine = json(next.post("/api/shoots", "{\"name\":\"Other\"}")).path("id").asString();
    String moved = at.replace(shoot, mine);
    assertThat(next.tus("HEAD", moved, NOTHING).statusCode()).isIn(404, 410);
    assertThat(new Visitor(server.url()).tus("HEAD", at, NOTHING).statusCode()).isEqualTo(401);
  }
}
