package illuminar.benchmarks.running;

import illuminar.benchmarks.Reference;
import illuminar.benchmarks.Speeds;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** One view of five frames of 24 MP: taken in, then opened after restarts. */
final class ColdView implements Measure {
  private static final int ROUNDS = 5;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path card = Cards.of("view", Path.of("demo/card"), 6000, 1, 5);
    try (TestServer server = new TestServer("running_view", card)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      List<String> others = new ArrayList<>();
      Photographer photographer = new Photographer(visitor);
      // the first time, code is compiled
      String view = photographer.takeInCard(shoot).get(0);
      double taken = Double.POSITIVE_INFINITY;
      double fused = Double.POSITIVE_INFINITY;
      for (int round = 0; round < 2; round++) {
        fused = Math.min(fused, Reference.fusing(Folders.files(card)));
        others.add(view);
        String again = photographer.newShoot("Again");
        clear(server.home().resolve("kept"));
        for (Path frame : Folders.files(server.card())) {
          // a file with another time is another file
          Files.setLastModifiedTime(frame, FileTime.from(Instant.now()));
        }
        long start = System.nanoTime();
        view = photographer.takeInCard(again).get(0);
        taken = Math.min(taken, (System.nanoTime() - start) / 1e6);
      }
      speeds.times("card to first version, 24 MP × 5", taken, fused, 1.5);
      speeds.most("kept of the view", bytes(server.home().resolve("kept")) / 1e6, "MB", 80);
      double[] first = new double[ROUNDS];
      double[] piece = new double[ROUNDS];
      double[] sharp = new double[ROUNDS];
      for (int round = 0; round < ROUNDS; round++) {
        restart(server, visitor, others);
        try (Asked bench = new Asked(server.url(), visitor, view)) {
          first[round] = bench.first();
          sharp[round] = bench.sharp();
        }
        restart(server, visitor, others);
        try (Asked bench = new Asked(server.url(), visitor, view)) {
          piece[round] = bench.piece();
        }
      }
      speeds.most("cold view, 24 MP × 5, first picture of the recipe", middle(first), "ms", 500);
      speeds.most("the sharp picture after it", middle(sharp), "ms", 1500);
      speeds.most("cold view, 24 MP × 5, first piece at 1:1", middle(piece), "ms", 1500);
    }
  }

  /** Nothing of the view is in memory then; others were worked on, as in the middle of a day. */
  private static void restart(TestServer server, Visitor visitor, List<String> others)
      throws InterruptedException {
    server.stop();
    server.start();
    visitor.moved(server.url());
    visitor.get("/api/session");
    for (String other : others) {
      try (Asked bench = new Asked(server.url(), visitor, other)) {
        bench.first();
        bench.piece();
      }
    }
  }

  private static double middle(double[] ms) {
    double[] sorted = ms.clone();
    Arrays.sort(sorted);
    System.out.println(Arrays.toString(ms));
    return sorted[sorted.length / 2];
  }

  private static void clear(Path folder) throws IOException {
    for (Path p : Folders.files(folder)) {
      Files.delete(p);
    }
  }

  private static double bytes(Path folder) throws IOException {
    long sum = 0;
    for (Path p : Folders.files(folder)) {
      sum += Files.size(p);
    }
    return sum;
  }
}
