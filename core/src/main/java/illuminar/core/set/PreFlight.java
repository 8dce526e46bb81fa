package illuminar.core.set;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.first.Outdoors;
import illuminar.core.first.Seen;
import illuminar.core.geometry.Plumb;
import illuminar.core.measure.Clipping;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.Stage;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.watch.Finding;
import illuminar.core.watch.Specks;
import illuminar.core.watch.Watch;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Goes over a finished view before it is delivered and lists what a colleague would see. Limits are
 * our own, common practice; no source.
 */
public final class PreFlight {
  private static final int LONG_EDGE = 1200;

  /** Chroma that pale surfaces of a room may have together. */
  private static final double CAST = 4;

  /** Share of a room that has to be pale for a cast to be seen on it. */
  private static final double PALE = 0.08;

  /** Percent of a picture that may be burnt, as lamps and the sun are, or blocked. */
  private static final double SHARE = 3;

  /** Degrees by which plumb walls may lean; more than so many are meant to. */
  private static final double LEAN = 0.3;

  private static final double MEANT = 8;

  /** How many things like dust make a remark. */
  private static final int SPECKS = 1;

  private final PreviewSession session;
  private final Recipe recipe;
  private final List<Remark> remarks = new ArrayList<>();

  private PreFlight(PreviewSession session, Recipe recipe) {
    this.session = session;
    this.recipe = recipe;
  }

  /**
   * What was seen of a view.
   *
   * @param view middle tone of what is seen through its windows in stops below white, where it has
   *     any
   */
  public record Looked(List<Remark> remarks, OptionalDouble view) {
    public Looked {
      remarks = List.copyOf(remarks);
    }
  }

  /** Looks a view over as it would be delivered now. */
  public static Looked over(PreviewSession session, Recipe recipe) {
    PreFlight flight = new PreFlight(session, recipe);
    flight.faults();
    Seen seen = Seen.of(recipe, session);
    flight.cast(seen);
    flight.ends();
    flight.leaning();
    flight.dust();
    float[] view = seen.view();
    OptionalDouble middle =
        view.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(view[view.length / 2]);
    return new Looked(flight.remarks, middle);
  }

  private void add(Concern concern, double amount, String said, Object... of) {
    add(concern, amount, "", concern.stage(), said, of);
  }

  private void add(
      Concern concern, double amount, String pass, Stage stage, String said, Object... of) {
    remarks.add(new Remark(concern, amount, String.format(Locale.ROOT, said, of), pass, stage));
  }

  /** Halos, mud, overspray and lines, for each pass that makes them the worst. */
  private void faults() {
    Map<List<Object>, List<Finding>> grouped = new LinkedHashMap<>();
    for (Finding f : Watch.over(session, recipe)) {
      grouped.computeIfAbsent(List.of(f.kind(), f.pass()), k -> new ArrayList<>()).add(f);
    }
    grouped
        .values()
        .forEach(
            same -> {
              Finding first = same.get(0);
              double worst = same.stream().mapToDouble(Finding::amount).max().orElse(0);
              Concern concern = concern(first.kind());
              add(
                  concern,
                  worst,
                  first.pass(),
                  stage(first.pass()),
                  said(first.kind()) + "%s",
                  worst,
                  same.size() == 1 ? "." : ", the worst of " + same.size() + " places.");
            });
  }

  private Stage stage(String pass) {
    return recipe.passes().stream()
        .filter(p -> p.id().equals(pass))
        .map(Pass::move)
        .map(PassKind::of)
        .map(PassKind::stage)
        .findFirst()
        .orElse(Stage.GROUND);
  }

  private static Concern concern(Fault fault) {
    return switch (fault) {
      case HALO -> Concern.HALO;
      case MUD -> Concern.MUD;
      case OVERSPRAY -> Concern.OVERSPRAY;
      case RIDGE -> Concern.LINE;
    };
  }

  private static String said(Fault fault) {
    return switch (fault) {
      case HALO -> "A halo of %.2f stops beside an edge";
      case MUD -> "Lifted darks have lost their texture (%.2f of it)";
      case OVERSPRAY -> "A pass reaches over an edge, by a colour difference of %.1f";
      case RIDGE -> "A thin line that no frame has, L* %.1f";
    };
  }

  /** A cast that pale surfaces of a room share; outside the light of the hour is meant. */
  private void cast(Seen seen) {
    if (Outdoors.seen(session.analysis()) || seen.neutralShare() < PALE) {
      return;
    }
    List<Lab> pale = seen.nearlyNeutral(Integer.MAX_VALUE);
    double a = pale.stream().mapToDouble(Lab::a).average().orElse(0);
    double b = pale.stream().mapToDouble(Lab::b).average().orElse(0);
    double chroma = Math.hypot(a, b);
    if (chroma > CAST) {
      add(
          Concern.CAST,
          chroma,
          "Pale surfaces share a cast of chroma %.1f, towards %s.",
          chroma,
          hue(a, b));
    }
  }

  private static String hue(double a, double b) {
    if (Math.abs(a) > Math.abs(b)) {
      return a > 0 ? "red" : "green";
    }
    return b > 0 ? "yellow" : "blue";
  }

  /** Shares at both ends of the tones. */
  private void ends() {
    Analysis analysis = session.analysis();
    Raster raster = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
    Picture p = session.picture(recipe, raster);
    Clipping.Shares shares = Clipping.ofWork(p);
    double burnt = 100 * shares.burnt();
    double blocked = 100 * shares.blocked();
    if (burnt > SHARE) {
      add(Concern.BURNT, burnt, "%.1f %% of the picture is burnt.", burnt);
    }
    if (blocked > SHARE) {
      add(Concern.BLOCKED, blocked, "%.1f %% of the picture is blocked.", blocked);
    }
  }

  private void leaning() {
    Analysis analysis = session.analysis();
    Plumb.Found found =
        Plumb.of(
            session.picture(recipe, analysis.raster()).tones(),
            recipe.geometry(),
            analysis.fullWidth(),
            analysis.fullHeight());
    if (found.sure() && found.before() > LEAN && found.before() < MEANT) {
      add(Concern.LEANS, found.before(), "Plumb edges lean by %.1f°.", found.before());
    }
  }

  private void dust() {
    int n = Specks.in(session, recipe).size();
    if (n >= SPECKS) {
      String likely = n == 1 ? "%d place looks" : "%d places look";
      add(Concern.DUST, n, likely + " like dust on an even surface.", n);
    }
  }

  /** Stops by which views through windows may differ from the middle one of a set. */
  private static final double UNLIKE = 0.7;

  /**
   * Views through windows that stand far brighter or darker than the others of the set.
   *
   * @param looked of all views
   * @return a remark for each of them, or nothing, in the same order
   */
  public static List<List<Remark>> unlike(List<Looked> looked) {
    double[] all = looked.stream().flatMapToDouble(l -> l.view().stream()).sorted().toArray();
    double middle = all.length == 0 ? 0 : (all[all.length / 2] + all[(all.length - 1) / 2]) / 2;
    List<List<Remark>> out = new ArrayList<>();
    for (Looked l : looked) {
      double off = l.view().orElse(middle) - middle;
      out.add(Math.abs(off) > UNLIKE ? List.of(unlike(off)) : List.of());
    }
    return out;
  }

  private static Remark unlike(double off) {
    String said =
        String.format(
            Locale.ROOT,
            "The view through the windows is %.1f stops %s than in the other rooms.",
            Math.abs(off),
            off > 0 ? "brighter" : "darker");
    return new Remark(Concern.VIEWS_UNLIKE, Math.abs(off), said, "", Concern.VIEWS_UNLIKE.stage());
  }
}
