package illuminar.benchmarks;

import illuminar.benchmarks.cases.CaseProof;
import illuminar.benchmarks.cases.RoomsProof;
import illuminar.scenes.Scenes;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The command {@code ./illuminar proof}: the product's results against the rendered truth. */
public final class Proof {
  /** The whole shoot, beside views by their names. */
  private static final String SET = "set";

  private Proof() {}

  /**
   * Proves the views named, all and the whole shoot where none is named, each with its part of
   * docs/accuracy.md; or {@code set}, {@code case FOLDER}, {@code rooms SEED...}.
   */
  public static void main(String[] args) throws Exception {
    if (args.length == 2 && args[0].equals("case")) {
      CaseProof.prove(Path.of(args[1]));
      return;
    }
    if (args.length >= 2 && args[0].equals("rooms")) {
      RoomsProof.prove(List.of(args).subList(1, args.length));
      return;
    }
    List<String> lost = new ArrayList<>();
    if (args.length == 0 || List.of(args).contains(SET)) {
      Table table = new Table();
      new SetProof(table).all();
      lost.addAll(new Accuracy().keep("The set", table));
    }
    for (View view : views(args)) {
      Table table = new Table();
      DemoView demo = DemoView.read(view, Path.of("demo/card"), 0);
      Scenes.Rendered kept = Scenes.kept(view);
      new ViewProof(demo, kept.still(), kept.moved(), table).all();
      lost.addAll(new Accuracy().keep(view.title(), table));
    }
    if (args.length == 0) {
      Table table = new Table();
      FirstProof.shoot(table);
      lost.addAll(new Accuracy().keep("The whole shoot", table));
    }
    if (!lost.isEmpty()) {
      System.out.println("Goals lost again: " + lost);
      System.exit(1);
    }
  }

  private static List<View> views(String... names) {
    return names.length == 0
        ? Views.all()
        : Stream.of(names).filter(n -> !n.equals(SET)).map(Views::of).toList();
  }
}
