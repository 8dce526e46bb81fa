package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.benchmarks.running.Photographer;
import illuminar.benchmarks.running.Separate;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/** Twenty people who move controls on a few views at once, five changes a second each. */
final class Editors implements Trial {
  private static final int PEOPLE = 20;

  /** Pixels across a frame of 3.8 MP. */
  private static final int WIDTH = 2400;

  private final String id;
  private final int views;

  Editors(String id, int views) {
    this.id = id;
    this.views = views;
  }

  @Override
  public String id() {
    return id;
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("editors" + views, Path.of("demo/card"), WIDTH, views, 5);
    List<Editor> editors = new ArrayList<>();
    try (Separate server = new Separate("campaign_editors", card, "-Xmx4g")) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      List<String> all = new Photographer(visitor).takeInCard(visitor.demoShoot());
      for (int i = 0; i < PEOPLE; i++) {
        editors.add(new Editor(server.url(), visitor, all.get(i % all.size())));
      }
      for (Editor editor : editors) {
        editor.warm();
      }
      together(editors, effort.of(180, 15));
    }
    double[] waited =
        editors.stream().flatMap(e -> e.waited().stream()).mapToDouble(d -> d).sorted().toArray();
    int[] pictures = editors.stream().mapToInt(Editor::pictures).sorted().toArray();
    String what = PEOPLE + " editors on " + views + " views of 3.8 MP in 4 GB: ";
    ledger.most(
        this, what + "change to picture, 95 %", waited[waited.length * 95 / 100] / 1000, "s", 1);
    ledger.least(
        this,
        what + "pictures of the slowest beside the middle one",
        100.0 * pictures[0] / pictures[PEOPLE / 2],
        "%",
        70);
    ledger.least(this, what + "pictures in all", pictures(editors), "", PEOPLE);
    ledger.most(
        this,
        what + "answers that are no picture",
        editors.stream().mapToInt(Editor::problems).sum(),
        "",
        0);
  }

  private static int pictures(List<Editor> editors) {
    return editors.stream().mapToInt(Editor::pictures).sum();
  }

  private static void together(List<Editor> editors, int seconds) throws Exception {
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    ScheduledExecutorService hands = Executors.newScheduledThreadPool(2);
    ExecutorService eyes = Executors.newFixedThreadPool(PEOPLE);
    try {
      List<Future<?>> looking = new ArrayList<>();
      for (Editor editor : editors) {
        editor.begin(hands);
        looking.add(
            eyes.submit(
                () -> {
                  editor.look(until);
                  return null;
                }));
      }
      for (Future<?> one : looking) {
        one.get();
      }
    } finally {
      hands.shutdownNow();
      eyes.shutdownNow();
      editors.forEach(Editor::close);
    }
  }
}
