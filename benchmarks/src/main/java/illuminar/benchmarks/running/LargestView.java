package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.List;

/** Seven frames of 45 MP, taken in and delivered by a server of its own: what it holds at most. */
final class LargestView implements Measure {
  /** The least heap in which it works; the processes that read come to it. */
  private static final String HEAP = "-Xmx2600m";

  private static final int WIDTH = 8220;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path card = Cards.of("largest", Path.of("demo/card"), WIDTH, 1, 7);
    try (Separate server = new Separate("running_largest", card, HEAP)) {
      server.watch();
      Visitor visitor = new Visitor(server.url()).signedIn();
      Photographer photographer = new Photographer(visitor);
      String shoot = visitor.demoShoot();
      List<String> views = photographer.takeInCard(shoot);
      speeds.most("45 MP × 7, taken in: most memory", server.most(), "MB", 2000);
      photographer.deliver(shoot, views);
      speeds.most("the same, delivered too: most memory", server.most(), "MB", 2000);
    }
  }
}
