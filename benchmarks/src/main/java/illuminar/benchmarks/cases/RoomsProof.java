package illuminar.benchmarks.cases;

import illuminar.benchmarks.Accuracy;
import illuminar.files.BadPicture;
import illuminar.scenes.CaseKit;
import illuminar.scenes.invented.InventedView;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The command {@code ./illuminar proof rooms SEED...}: rooms and facades that chance made, each
 * judged as a case; the worst figure beside the mean. With {@code publish} first, the figures go
 * into docs/accuracy.md.
 */
public final class RoomsProof {
  private static final Path FOLDER = Path.of(".run/rooms");

  /** Pixels across. */
  private static final int WIDTH = 1200;

  /**
   * What is asked of a measure.
   *
   * @param least or {@code -∞}
   * @param most or {@code ∞}
   * @param nearer whether the reference library's fusion must be farther off as well
   */
  private record Goal(String where, String measure, double least, double most, boolean nearer) {
    static Goal most(String where, String measure, double most, boolean nearer) {
      return new Goal(where, measure, Double.NEGATIVE_INFINITY, most, nearer);
    }

    boolean met(CaseJudge.Figure f) {
      double first = f.of().get(Pictures.FIRST);
      return first >= least && first <= most && (!nearer || first <= f.of().get(Pictures.FUSION));
    }

    /** How far off the goal a value is. */
    double off(double value) {
      return Math.max(least - value, value - most);
    }

    private static String plain(double bound) {
      return BigDecimal.valueOf(bound).stripTrailingZeros().toPlainString();
    }

    String words() {
      String bounds =
          least > Double.NEGATIVE_INFINITY
              ? plain(least) + " to " + plain(most)
              : most < Double.POSITIVE_INFINITY ? "≤ " + plain(most) : "";
      return bounds + (nearer ? (bounds.isEmpty() ? "" : ", ") + "nearer than the fusion" : "");
    }
  }

  private static final List<Goal> GOALS =
      List.of(
          Goal.most("panes", "uneven, stops", 0.08, false),
          Goal.most("panes", "uneven 95 %, stops", 0.3, false),
          Goal.most("panes", "CIEDE2000", 2.5, true),
          Goal.most("panes", "CIEDE2000 95 %", 8, true),
          Goal.most("curtain", "CIEDE2000", 4, true),
          Goal.most("plant", "CIEDE2000", 4, true),
          Goal.most("desk-lamp", "CIEDE2000", 4, true),
          Goal.most("bars", "CIEDE2000", 4, true),
          Goal.most("lamps", "CIEDE2000", 3, false),
          new Goal("lamps", "slope of chroma", 0.85, 1.15, false),
          new Goal("walls", "L* 90 %", 86, 92, false),
          Goal.most("walls", "C*", 2.5, false),
          Goal.most("walls", "C* 95 %", 6, false),
          Goal.most("whole", "from the truth picture, CIEDE2000", Double.POSITIVE_INFINITY, true),
          Goal.most("whole", "places with new lines", 0, false),
          Goal.most("whole", "strongest new line, L*", 1, false),
          Goal.most("facade", "from the anchor, CIEDE2000", 3, false),
          Goal.most("sky", "L* below the anchor's, or off 70 to 95 where that is burnt", 1, false),
          Goal.most("facade", "views shown in panes", 0, false));

  private final Map<String, List<CaseJudge.Figure>> rooms = new LinkedHashMap<>();

  private RoomsProof() {}

  /** Makes what is missing under .run/rooms, judges all. */
  public static void prove(List<String> words) throws IOException, BadPicture {
    boolean publish = words.get(0).equals("publish");
    RoomsProof proof = new RoomsProof();
    for (String seed : publish ? words.subList(1, words.size()) : words) {
      proof.room(seed);
    }
    String page = proof.summary() + proof.each();
    System.out.print(page);
    if (publish) {
      new Accuracy().put("Rooms that chance made", page);
    }
  }

  private void room(String seed) throws IOException, BadPicture {
    Path folder = FOLDER.resolve("room-" + seed);
    if (!Files.exists(folder.resolve("truth.hdr"))) {
      CaseKit.write(InventedView.of(Long.parseLong(seed), WIDTH, rows -> {}), folder);
    }
    CaseFolder room = new CaseFolder(folder);
    Pictures pictures = new Pictures(room.analysis());
    List<CaseJudge.Figure> figures = CaseJudge.of(room, pictures);
    rooms.put(seed, figures);
    pictures.write(Path.of("target/rooms"), seed);
    System.out.printf(Locale.ROOT, "# %s, first version in %.1f s%n", seed, pictures.seconds());
    System.out.print(CaseProof.passes(pictures) + CaseProof.table(figures));
  }

  private String summary() {
    StringBuilder out =
        new StringBuilder("| where | measure | mean | worst | fusion, mean | goal | met |\n");
    out.append("|---|---|---|---|---|---|---|\n");
    for (Goal goal : GOALS) {
      List<CaseJudge.Figure> all = new ArrayList<>();
      rooms.values().forEach(f -> f.stream().filter(x -> asked(goal, x)).forEach(all::add));
      if (!all.isEmpty()) {
        out.append(line(goal, all));
      }
    }
    return out + "\n";
  }

  private static boolean asked(Goal goal, CaseJudge.Figure f) {
    return goal.where.equals(f.where()) && goal.measure.equals(f.measure());
  }

  private static String line(Goal goal, List<CaseJudge.Figure> all) {
    double worst = all.get(0).of().get(Pictures.FIRST);
    for (CaseJudge.Figure f : all) {
      double first = f.of().get(Pictures.FIRST);
      boolean unbounded = goal.off(first) == Double.NEGATIVE_INFINITY;
      if (unbounded ? first > worst : goal.off(first) > goal.off(worst)) {
        worst = first;
      }
    }
    return String.format(
        Locale.ROOT,
        "| %s | %s | %.2f | %.2f | %.2f | %s | %d of %d |%n",
        goal.where,
        goal.measure,
        mean(all, Pictures.FIRST),
        worst,
        mean(all, Pictures.FUSION),
        goal.words(),
        all.stream().filter(goal::met).count(),
        all.size());
  }

  private static double mean(List<CaseJudge.Figure> all, String picture) {
    return all.stream().mapToDouble(f -> f.of().get(picture)).average().orElse(0);
  }

  /** First version / fusion, room by room. */
  private String each() {
    StringBuilder out =
        new StringBuilder("First version / fusion, by seed:\n\n| where | measure |");
    rooms.keySet().forEach(s -> out.append(" ").append(s).append(" |"));
    out.append("\n|---|---|").append("---|".repeat(rooms.size())).append('\n');
    for (Goal goal : GOALS) {
      out.append("| ").append(goal.where).append(" | ").append(goal.measure).append(" |");
      for (List<CaseJudge.Figure> figures : rooms.values()) {
        out.append(" ");
        figures.stream()
            .filter(f -> asked(goal, f))
            .findFirst()
            .ifPresent(
                f ->
                    out.append(
                        String.format(
                            Locale.ROOT,
                            "%.2f / %.2f",
                            f.of().get(Pictures.FIRST),
                            f.of().get(Pictures.FUSION))));
        out.append(" |");
      }
      out.append('\n');
    }
    return out.toString();
  }
}
