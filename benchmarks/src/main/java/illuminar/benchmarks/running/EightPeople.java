package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** Eight benches on eight views of five frames of 24 MP at once, in a heap of 4 GB. */
final class EightPeople implements Measure {
  private static final int PEOPLE = 8;
  private static final int ROUNDS = 3;

  /** What one alone waits for a piece at 1:1, milliseconds. */
  private static final double PATIENCE = 1_500;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path card = Cards.of("people", Path.of("demo/card"), 6000, PEOPLE, 5);
    try (Separate server = new Separate("running_people", card, "-Xmx4g")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      List<String> views = new Photographer(visitor).takeInCard(visitor.demoShoot());
      double[] waited = pictures(server.url(), visitor, views);
      System.out.println(Arrays.toString(waited));
      speeds.most(
          "eight people on eight views in 4 GB: sharp pictures and 1:1 pieces, longest wait",
          waited[waited.length - 1],
          "ms",
          PATIENCE);
      speeds.most("the same, middle wait", waited[waited.length / 2], "ms", PATIENCE);
    }
  }

  /** Milliseconds that each waited each time, in order of length. */
  private static double[] pictures(String url, Visitor visitor, List<String> views)
      throws Exception {
    ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
    List<Future<double[]>> all = new ArrayList<>();
    for (String view : views) {
      all.add(
          people.submit(
              () -> {
                double[] ms = new double[2 * ROUNDS];
                try (Asked bench = new Asked(url, visitor, view)) {
                  for (int round = 0; round < ROUNDS; round++) {
                    ms[2 * round] = bench.sharp();
                    ms[2 * round + 1] = bench.piece();
                  }
                }
                return ms;
              }));
    }
    List<Double> out = new ArrayList<>();
    for (Future<double[]> f : all) {
      Arrays.stream(f.get()).forEach(out::add);
    }
    people.shutdown();
    return out.stream().mapToDouble(v -> v).sorted().toArray();
  }
}
