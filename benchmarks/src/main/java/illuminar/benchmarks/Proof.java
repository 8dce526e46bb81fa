package illuminar.benchmarks;

import illuminar.benchmarks.cases.CaseProof;
import illuminar.benchmarks.cases.RoomsProof;
import illuminar.scenes.Scenes;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The command {@code ./illuminar proof}: the product's results against the rendered truth. */
public final class Proof {
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
    boolean set = args.length == 1 && args[0].equals("set");
    if (args.length == 0 || set) {
      Table table = new Table();
      new SetProof(table).all();
      lost.addAll(new Accuracy().keep("The set", table));
    }
    List<View> views =
        set
            ? List.of()
            : args.length == 0 ? Views.all() : List.of(args).stream().map(Views::of).toList();
    for (View view : views) {
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
}
