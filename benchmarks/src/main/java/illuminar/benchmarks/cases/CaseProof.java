package illuminar.benchmarks.cases;

import illuminar.files.BadPicture;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;

/**
 * The command {@code ./illuminar proof case FOLDER}: the first version of a room that nobody tuned
 * for, its ground, the reference library's plain fusion and the camera's middle frame, each beside
 * the truth.
 */
public final class CaseProof {
  private CaseProof() {}

  /**
   * Takes a folder as {@link CaseFolder} describes it; pictures go to {@code target}, figures to
   * {@code docs/cases}.
   */
  public static void prove(Path folder) throws IOException, BadPicture {
    CaseFolder room = new CaseFolder(folder);
    Pictures pictures = new Pictures(room.analysis());
    String page = page(room, pictures);
    System.out.print(page);
    pictures.write(Path.of("target"), room.name());
    if (room.known()) {
      Path file = Path.of("docs", "cases", room.name() + ".md");
      Files.createDirectories(file.getParent());
      Files.writeString(file, page);
    }
  }

  private static String page(CaseFolder room, Pictures pictures) {
    StringBuilder page = new StringBuilder();
    page.append("# ").append(room.name()).append(", first version beside the plain fusion\n\n");
    page.append("Written by `./illuminar proof case` on ")
        .append(LocalDate.now(ZoneOffset.UTC))
        .append(".\n\n");
    page.append(passes(pictures)).append('\n');
    if (room.known()) {
      page.append(table(CaseJudge.of(room, pictures)));
    }
    return page.toString();
  }

  /** What the first version does and why, a line each. */
  static String passes(Pictures pictures) {
    StringBuilder out = new StringBuilder();
    pictures.recipe().passes().forEach(p -> out.append("- `" + p.move() + "` " + p.why() + "\n"));
    return out.toString();
  }

  static String table(List<CaseJudge.Figure> figures) {
    StringBuilder out =
        new StringBuilder(
            "| where | measure | first | ground | fusion | anchor |\n|---|---|---|---|---|---|\n");
    for (CaseJudge.Figure f : figures) {
      out.append(
          String.format(
              Locale.ROOT,
              "| %s | %s | %.2f | %.2f | %.2f | %.2f |%n",
              f.where(),
              f.measure(),
              f.of().get(Pictures.FIRST),
              f.of().get(Pictures.GROUND),
              f.of().get(Pictures.FUSION),
              f.of().get(Pictures.ANCHOR)));
    }
    return out.toString();
  }
}
