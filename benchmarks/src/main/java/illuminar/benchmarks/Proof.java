package illuminar.benchmarks;

import illuminar.benchmarks.cases.CaseProof;
import illuminar.benchmarks.cases.RoomsProof;
import illuminar.scenes.Scenes;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;

/** The command {@code ./illuminar proof}: the product's results against the rendered truth. */
public final class Proof {
  private Proof() {}

  /**
   * Proves the views named, all where none is named; or {@code case FOLDER}, {@code rooms SEED...}.
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
    Table table = new Table();
    List<View> views =
        args.length == 0 ? Views.all() : List.of(args).stream().map(Views::of).toList();
    for (View view : views) {
      DemoView demo = DemoView.read(view, Path.of("demo/card"), 0);
      Scenes.Rendered kept = Scenes.kept(view);
      new ViewProof(demo, kept.still(), kept.moved(), table).all();
    }
    if (args.length > 0) {
      return;
    }
    FirstProof.shoot(table);
    String rooms = RoomsProof.published();
    table.keep(
        "proof",
        Path.of("docs/accuracy.md"),
        "Accuracy against rendered truth",
        "Written by `./illuminar proof` on "
            + LocalDate.now(ZoneOffset.UTC)
            + ". The frames are those of the shipped card; the truth is the rendering that they were photographed from.");
    Files.writeString(Path.of("docs/accuracy.md"), rooms, StandardOpenOption.APPEND);
    lost(table);
  }

  /** A goal that was met before must stay met. */
  private static void lost(Table table) throws Exception {
    Path baseline = Path.of("benchmarks/proof-baseline.txt");
    List<String> before = Files.exists(baseline) ? Files.readAllLines(baseline) : List.of();
    List<String> met =
        table.rows().stream()
            .filter(Table.Row::met)
            .map(r -> r.view() + ": " + r.measure())
            .toList();
    List<String> gone = before.stream().filter(b -> !b.isBlank() && !met.contains(b)).toList();
    if (!gone.isEmpty()) {
      System.out.println("Goals lost again: " + gone);
      System.exit(1);
    }
    Files.write(baseline, met);
  }
}
