package illuminar.benchmarks.cases;

import static illuminar.benchmarks.cases.Pictures.ANCHOR;
import static illuminar.benchmarks.cases.Pictures.FIRST;
import static illuminar.benchmarks.cases.Pictures.at;

import illuminar.core.colour.Lab;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ShowView;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import java.util.function.ToDoubleFunction;

/** Measures the pictures of a case against its truth, place by place. */
final class CaseJudge {
  /** What is judged as a view or a thing by one curve. */
  private static final List<String> VIEWS =
      List.of("panes", "sky", "plant", "curtain", "desk-lamp", "lamp", "lamps", "bars", "floor");

  private static final int STEP = 2;

  /** Pixels from which on a place is large enough to be judged. */
  private static final int ENOUGH = 400;

  private final Pictures pictures;
  private final Raster whole;
  private final List<Figure> figures = new ArrayList<>();

  private CaseJudge(Pictures pictures) {
    this.pictures = pictures;
    whole = pictures.whole();
  }

  /**
   * One measure of one place.
   *
   * @param of its value for each picture
   */
  record Figure(String where, String measure, Map<String, Double> of) {}

  /** All that can be measured in a case. */
  static List<Figure> of(CaseFolder room, Pictures pictures) {
    CaseJudge judge = new CaseJudge(pictures);
    float[] truth = room.light("truth").orElseThrow();
    boolean facade = room.mask("facade").isPresent();
    for (String name : VIEWS) {
      if (!facade || !name.equals("sky")) {
        room.mask(name).ifPresent(mask -> judge.view(name, truth, mask));
      }
    }
    room.mask("walls").ifPresent(judge::walls);
    room.light("even").ifPresent(judge::whole);
    judge.lines();
    room.mask("facade").ifPresent(judge::facade);
    if (facade) {
      room.mask("sky").ifPresent(judge::sky);
      judge.panes();
    }
    return judge.figures;
  }

  private void add(String where, String measure, ToDoubleFunction<String> of) {
    Map<String, Double> values = new LinkedHashMap<>();
    pictures.all().keySet().forEach(p -> values.put(p, of.applyAsDouble(p)));
    figures.add(new Figure(where, measure, values));
  }

  private void view(String name, float[] truth, int[] mask) {
    Map<String, ViewJudge.Found> found = new LinkedHashMap<>();
    pictures
        .all()
        .forEach(
            (p, rgb) -> {
              List<ViewJudge.Pair> pairs = new ArrayList<>();
              each(mask, i -> pairs.add(new ViewJudge.Pair(at(rgb, i), at(truth, i))));
              if (pairs.size() > ENOUGH) {
                found.put(p, ViewJudge.judge(pairs));
              }
            });
    if (found.isEmpty()) {
      return;
    }
    add(name, "uneven, stops", p -> found.get(p).uneven());
    add(name, "uneven 95 %, stops", p -> found.get(p).uneven95());
    add(name, "CIEDE2000", p -> found.get(p).difference());
    add(name, "CIEDE2000 95 %", p -> found.get(p).difference95());
    if (name.equals("lamp") || name.equals("lamps")) {
      add(name, "slope of chroma", p -> found.get(p).chroma());
    }
  }

  private void walls(int[] mask) {
    add("walls", "L* 50 %", p -> ViewJudge.quantile(values(p, mask, Lab::l), 0.5));
    add("walls", "L* 90 %", p -> ViewJudge.quantile(values(p, mask, Lab::l), 0.9));
    add("walls", "C*", p -> ViewJudge.mean(values(p, mask, Lab::chroma)));
    add("walls", "C* 95 %", p -> ViewJudge.quantile(values(p, mask, Lab::chroma), 0.95));
  }

  private double[] values(String picture, int[] mask, ToDoubleFunction<Lab> of) {
    return colours(picture, mask).stream().mapToDouble(of).toArray();
  }

  private List<Lab> colours(String picture, int[] mask) {
    List<Lab> out = new ArrayList<>();
    each(mask, i -> out.add(ViewJudge.lab(at(pictures.of(picture), i))));
    return out;
  }

  /** Distance of each picture from the truth picture, its mean lightness fitted. */
  private void whole(float[] even) {
    int[] all = new int[whole.pixels()];
    Arrays.fill(all, 255);
    List<Lab> should = new ArrayList<>();
    each(all, i -> should.add(ViewJudge.lab(at(even, i))));
    add(
        "whole",
        "from the truth picture, CIEDE2000",
        p -> ViewJudge.matched(should, colours(p, all)));
  }

  /** Colour of a front against the camera's own frame, lightness matched. */
  private void facade(int[] mask) {
    List<Lab> should = colours(ANCHOR, mask);
    add("facade", "from the anchor, CIEDE2000", p -> ViewJudge.matched(should, colours(p, mask)));
    add("facade", "L* 50 %", p -> ViewJudge.quantile(values(p, mask, Lab::l), 0.5));
  }

  /** By how much a sky is darker than in the camera's frame, where that is not burnt. */
  private void sky(int[] mask) {
    List<Lab> anchor = colours(ANCHOR, mask);
    if (anchor.size() < ENOUGH) {
      return;
    }
    add(
        "sky",
        "L* below the anchor's, or off 70 to 95 where that is burnt",
        p -> {
          List<Lab> is = colours(p, mask);
          double sum = 0;
          for (int k = 0; k < is.size(); k++) {
            double l = is.get(k).l();
            double burnt = Math.max(0, Math.max(70 - l, l - 95));
            sum += anchor.get(k).l() > 98 ? burnt : Math.max(0, anchor.get(k).l() - l);
          }
          return sum / is.size();
        });
  }

  /** Passes that show a view in a front by day. */
  private void panes() {
    long n =
        pictures.recipe().passes().stream()
            .filter(p -> p.move() instanceof ShowView || p.move() instanceof BringFrame)
            .count();
    add("facade", "views shown in panes", p -> p.equals(FIRST) ? n : 0);
  }

  /** Places with thin lines that no frame has, and how strong the strongest is. */
  private void lines() {
    List<Double> found = pictures.lines();
    add("whole", "places with new lines", p -> p.equals(FIRST) ? found.size() : 0);
    add(
        "whole",
        "strongest new line, L*",
        p -> p.equals(FIRST) ? found.stream().mapToDouble(v -> v).max().orElse(0) : 0);
  }

  private void each(int[] mask, IntConsumer at) {
    for (int y = STEP; y < whole.height() - STEP; y += STEP) {
      for (int x = STEP; x < whole.width() - STEP; x += STEP) {
        if (mask[y * whole.width() + x] > 250) {
          at.accept(y * whole.width() + x);
        }
      }
    }
  }
}
