package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import illuminar.server.Visitor;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import tools.jackson.databind.JsonNode;

/**
 * Damaged files among good ones on a card: the good ones are taken in, whatever lies beside them,
 * and no file costs more than a while.
 */
final class BadFiles implements Trial {
  private static final int CARD = 250;
  private static final int GOOD = 3;
  private static final String[] ENDINGS = {"jpg", "png", "tif", "dng"};

  /** Raw files are large, and read by another process each: one in so many. */
  private static final int RAW = 25;

  @Override
  public String id() {
    return "files";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path good = Cards.of("files", Path.of("demo/small/instrument-room"), 0, 1, GOOD);
    List<byte[]> kinds = kinds(good);
    int files = effort.of(10_000, 100);
    Random chance = new Random(23);
    int stopped = 0;
    int failures = 0;
    double slowest = 0;
    int sent = 0;
    try (Victim victim = new Victim("campaign_files", good, "-Xmx3g")) {
      Visitor visitor = new Visitor(victim.url()).signedIn();
      Path card = victim.data().card();
      while (sent < files) {
        List<Path> bad = new ArrayList<>();
        for (int k = 0; k < CARD && sent < files; k++, sent++) {
          Damage damage = Damage.values()[sent % Damage.values().length];
          int kind = sent % RAW == 0 ? ENDINGS.length - 1 : chance.nextInt(ENDINGS.length - 1);
          Path file = card.resolve("BAD_%05d.%s".formatted(sent, ENDINGS[kind]));
          Files.write(file, damage.of(kinds.get(kind), chance));
          bad.add(file);
        }
        long start = System.nanoTime();
        String shoot =
            Visitor.JSON
                .readTree(visitor.post("/api/shoots", "{\"name\":\"Bad\"}").body())
                .path("id")
                .asString();
        HttpResponse<String> seen = visitor.get("/api/shoots/" + shoot + "/waiting");
        double each = (System.nanoTime() - start) / 1e9 / bad.size();
        slowest = Math.max(slowest, each);
        failures += seen.statusCode() == 200 ? 0 : 1;
        stopped += taken(visitor, shoot) >= GOOD ? 0 : 1;
        for (Path file : bad) {
          Files.delete(file);
        }
      }
      ledger.least(this, "damaged files on cards with good ones", sent, "", files);
      ledger.most(this, "cards that could not be read for them", failures, "", 0);
      ledger.most(this, "cards whose good frames were not taken in", stopped, "", 0);
      ledger.most(this, "slowest card, seconds a file", slowest, "s", 10);
      Victim.reportJobs(this, ledger, victim.data());
    }
  }

  /** A good file of each kind. */
  private static List<byte[]> kinds(Path good) throws IOException {
    Path jpeg;
    try (Stream<Path> all = Files.list(good)) {
      jpeg = all.sorted().findFirst().orElseThrow();
    }
    BufferedImage image = ImageIO.read(jpeg.toFile());
    Path png = Files.createTempFile("good", ".png");
    try (OutputStream out = Files.newOutputStream(png)) {
      PictureWriter.png(image, Legend.NONE, out);
    }
    Path tiff = Files.createTempDirectory("good").resolve("good.tif");
    PictureWriter.tiff(image, Legend.NONE, tiff);
    return List.of(
        Files.readAllBytes(jpeg),
        Files.readAllBytes(png),
        Files.readAllBytes(tiff),
        Files.readAllBytes(Path.of("demo/card/FWH_0143.DNG")));
  }

  /** Takes in all that is offered; how many good frames are in the shoot then. */
  private static int taken(Visitor visitor, String shoot) {
    JsonNode job = visitor.takeInCard(shoot);
    visitor.done(shoot, job.path("id").asString(), Duration.ofMinutes(10));
    Set<String> names = new HashSet<>();
    for (JsonNode view : visitor.json("/api/shoots/" + shoot).path("views")) {
      for (JsonNode frame :
          visitor.json("/api/views/" + view.path("id").asString()).path("frames")) {
        names.add(frame.path("name").asString());
      }
    }
    return (int) names.stream().filter(n -> !n.startsWith("BAD")).count();
  }
}
