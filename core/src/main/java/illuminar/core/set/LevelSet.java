package illuminar.core.set;

import illuminar.core.balance.Solve;
import illuminar.core.colour.Lab;
import illuminar.core.first.Seen;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.recipe.Recipe;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Makes surfaces that appear in several views of a shoot agree: one brightness and one white for
 * each view, beside what is seen through its windows. Common practice, no source.
 */
public final class LevelSet {
  /** Id of the pass that levels a view; there is one at most. */
  public static final String PASS = "set-level";

  /** Mean difference that is not worth a pass, CIEDE2000. */
  private static final double SMALL = 0.3;

  private LevelSet() {}

  /**
   * The colour that each surface is to have in all views: its mean over those that show it, or what
   * it is in one of them.
   *
   * @param views colours of the surfaces of each view, by name
   * @param reference number of the view that stays as it is; −1 for none
   * @return of surfaces that two views have at least
   */
  public static Map<String, Lab> common(List<Map<String, Lab>> views, int reference) {
    Map<String, List<Lab>> all = new LinkedHashMap<>();
    views.forEach(
        v -> v.forEach((name, lab) -> all.computeIfAbsent(name, n -> new ArrayList<>()).add(lab)));
    Map<String, Lab> out = new LinkedHashMap<>();
    all.forEach(
        (name, labs) -> {
          if (labs.size() > 1) {
            Lab stays = reference < 0 ? null : views.get(reference).get(name);
            out.put(name, stays == null ? Lab.mean(labs) : stays);
          }
        });
    return out;
  }

  /**
   * Mean difference of a view's surfaces from the common colours, CIEDE2000; 0 where it shares
   * none.
   */
  public static double apart(Map<String, Lab> view, Map<String, Lab> common) {
    return common.entrySet().stream()
        .filter(c -> view.containsKey(c.getKey()))
        .mapToDouble(c -> view.get(c.getKey()).difference(c.getValue()))
        .average()
        .orElse(0);
  }

  /** A recipe without what levels it. */
  public static Recipe without(Recipe recipe) {
    return recipe.withPasses(recipe.passes().stream().filter(p -> !p.id().equals(PASS)).toList());
  }

  /**
   * A recipe whose surfaces come as near to the common colours as brightness and white bring them.
   *
   * @param recipe that is not levelled
   * @param view colours of its surfaces
   */
  public static Recipe levelled(Recipe recipe, Map<String, Lab> view, Map<String, Lab> common) {
    List<Lab> own = new ArrayList<>();
    List<Lab> wanted = new ArrayList<>();
    common.forEach(
        (name, lab) -> {
          if (view.containsKey(name)) {
            own.add(view.get(name));
            wanted.add(lab);
          }
        });
    double before = apart(view, common);
    if (own.isEmpty() || before < SMALL) {
      return recipe;
    }
    Balance move = rounded(Solve.toReferences(own, wanted).move());
    String why =
        String.format(
            Locale.ROOT,
            "Levelled with the other views of the shoot by %s; before, a difference of %.1f.",
            own.size() == 1 ? "one surface" : own.size() + " surfaces",
            before);
    return recipe.with(new Pass(PASS, true, move, Seen.besideWindows(recipe), Gate.ALL, 1, why));
  }

  /** In steps of its scales. */
  private static Balance rounded(Balance m) {
    return new Balance(
        Math.rint(m.light() * 100) / 100, Math.rint(m.warmer()), Math.rint(m.tint()), 1);
  }
}
