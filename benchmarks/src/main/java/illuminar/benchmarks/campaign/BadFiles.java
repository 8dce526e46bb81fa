package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.benchmarks.running.Photographer;
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
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import tools.jackson.databind.JsonNode;

/**
 * Built and damaged files among good ones on a card: the good ones are taken in, whatever lies
 * beside them, and no file costs more than a while.
 */
final class BadFiles implements Trial {
  private static final String BAD = "BAD_";
  private static final double SLOWEST_S = 10;
  private static final double MEMORY_GB = 1.5;
  private static final int BUILT = 60;
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
    try (Victim victim = new Victim("campaign_files", good, "-Xmx3g");
        Peak peak = new Peak(victim.process())) {
      Card card = new Card(new Visitor(victim.url()).signedIn(), victim.data().card());
      int built = built(effort, kinds, card);
      int files = effort.of(10_000, 60);
      int damaged = damaged(files, kinds, card);
      ledger.least(this, "built files, each on a card with good ones", built, "", BUILT);
      ledger.least(this, "damaged files on cards with good ones", damaged, "", files);
      ledger.most(this, "cards that could not be read for them", card.unread, "", 0);
      ledger.most(this, "cards whose good frames were not taken in", card.stopped, "", 0);
      ledger.most(this, "slowest card, seconds a file", card.slowest, "s", SLOWEST_S);
      ledger.most(this, "most memory of a process that reads", peak.most() / 1e9, "GB", MEMORY_GB);
      Victim.reportJobs(this, ledger, victim.data());
    }
  }

  private static int built(Effort effort, List<byte[]> kinds, Card card) throws IOException {
    Map<String, byte[]> all = Built.all(kinds.get(0), kinds.get(1), kinds.get(2));
    int each = effort.of(1, all.size());
    List<String> names = List.copyOf(all.keySet());
    for (int k = 0; k < names.size(); k += each) {
      Map<String, byte[]> some = new LinkedHashMap<>();
      names.subList(k, Math.min(names.size(), k + each)).forEach(n -> some.put(n, all.get(n)));
      card.with(some);
    }
    return names.size();
  }

  private static int damaged(int files, List<byte[]> kinds, Card card) throws IOException {
    Random chance = new Random(23);
    int sent = 0;
    while (sent < files) {
      Map<String, byte[]> some = new LinkedHashMap<>();
      for (int k = 0; k < CARD && sent < files; k++, sent++) {
        Damage damage = Damage.values()[sent % Damage.values().length];
        int kind = sent % RAW == 0 ? ENDINGS.length - 1 : chance.nextInt(ENDINGS.length - 1);
        String name = "%05d.%s".formatted(sent, ENDINGS[kind]);
        some.put(name, damage.done(kinds.get(kind), chance));
      }
      card.with(some);
    }
    return sent;
  }

  /** A card with good frames, on which bad files are put. */
  private static final class Card {
    private final Visitor visitor;
    private final Path folder;
    private int unread;
    private int stopped;
    private double slowest;

    Card(Visitor visitor, Path folder) {
      this.visitor = visitor;
      this.folder = folder;
    }

    /** Puts files on it, takes in all that is offered, and removes them. */
    void with(Map<String, byte[]> bad) throws IOException {
      for (Map.Entry<String, byte[]> e : bad.entrySet()) {
        Files.write(folder.resolve(BAD + e.getKey()), e.getValue());
      }
      long start = System.nanoTime();
      String shoot = new Photographer(visitor).newShoot("Bad");
      HttpResponse<String> seen = visitor.get("/api/shoots/" + shoot + "/waiting");
      double each = (System.nanoTime() - start) / 1e9 / bad.size();
      if (each > SLOWEST_S || seen.statusCode() != 200) {
        System.out.printf(
            "%s: %.1f s, %d%n", bad.keySet().iterator().next(), each, seen.statusCode());
      }
      slowest = Math.max(slowest, each);
      unread += seen.statusCode() == 200 ? 0 : 1;
      stopped += taken(visitor, shoot) >= GOOD ? 0 : 1;
      for (String name : bad.keySet()) {
        Files.delete(folder.resolve(BAD + name));
      }
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
    return (int) names.stream().filter(n -> !n.startsWith(BAD)).count();
  }
}
