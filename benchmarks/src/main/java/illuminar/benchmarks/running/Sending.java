package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.Visitor;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** Two hundred JPEGs of 10 MB sent by the tus protocol, three at a time. */
final class Sending implements Measure {
  private static final int FILES = 200;
  private static final int BYTES = 10_000_000;
  private static final int AT_ONCE = 3;

  /** Files that are sent before, so that code is compiled. */
  private static final int FIRST = 20;

  private record Sent(String name, byte[] bytes, String sha256) {}

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path empty = Files.createTempDirectory("illuminar-empty");
    try (Separate server = new Separate("running_sending", empty, "-Xmx1g")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = new Photographer(visitor).newShoot("Sent");
      List<Sent> files = files();
      for (Sent file : files.subList(0, FIRST)) {
        send(server.url(), visitor, shoot, file);
      }
      double before = server.resident();
      long start = System.nanoTime();
      ExecutorService browser = Executors.newFixedThreadPool(AT_ONCE);
      List<Future<?>> sent = new ArrayList<>();
      for (Sent file : files.subList(FIRST, FILES)) {
        sent.add(browser.submit(() -> send(server.url(), visitor, shoot, file)));
      }
      for (Future<?> f : sent) {
        f.get();
      }
      browser.shutdown();
      double seconds = (System.nanoTime() - start) / 1e9;
      speeds.least(
          "sending JPEGs of 10 MB, three at a time, checked and synced",
          (FILES - FIRST) * (double) BYTES / 1e6 / seconds,
          "MB/s",
          150);
      speeds.most(
          "memory that the server grew by meanwhile, 1800 MB sent",
          server.resident() - before,
          "MB",
          100);
    }
  }

  /** A picture with bytes behind its end up to the size; each differs from the others. */
  private static List<Sent> files() throws Exception {
    byte[] picture =
        Files.readAllBytes(Path.of("demo/small/instrument-room").resolve("FWH_0114.JPG"));
    List<Sent> out = new ArrayList<>();
    for (int i = 0; i < FILES; i++) {
      byte[] bytes = java.util.Arrays.copyOf(picture, BYTES);
      bytes[BYTES - 1] = (byte) i;
      bytes[BYTES - 2] = (byte) (i >> 8);
      String sha = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
      out.add(new Sent("S%03d.JPG".formatted(i), bytes, sha));
    }
    return out;
  }

  private static String base64(String text) {
    return Base64.getEncoder().encodeToString(text.getBytes(StandardCharsets.UTF_8));
  }

  private static void send(String url, Visitor visitor, String shoot, Sent file) {
    HttpResponse<String> begun =
        visitor.tus(
            "POST",
            "/api/shoots/" + shoot + "/uploads",
            new byte[0],
            "Upload-Length",
            String.valueOf(file.bytes.length),
            "Upload-Metadata",
            "filename " + base64(file.name) + ",sha256 " + base64(file.sha256));
    String at =
        URI.create(url).resolve(begun.headers().firstValue("Location").orElseThrow()).toString();
    HttpResponse<String> done =
        visitor.tus(
            "PATCH",
            at,
            file.bytes,
            "Content-Type",
            "application/offset+octet-stream",
            "Upload-Offset",
            "0");
    if (done.statusCode() != 204) {
      throw new IllegalStateException(done.statusCode() + " " + done.body());
    }
  }
}
