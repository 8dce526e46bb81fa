package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.pass.Channels;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.pass.kinds.ToneCurve;
import illuminar.core.picture.Picture;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.watch.NewLines;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A careful first setting of the tones from where the room's tones lie; each value is explained.
 *
 * <p>The aims are the trade's (a bright room whose lights keep their detail; common practice, no
 * source).
 */
final class ToneProposer implements Proposer {
  /** Tone that the room's median comes to: L* 62. */
  private static final double MIDDLE = -1.72;

  /** Lightness of white paint in its light (common practice, no source). */
  private static final double WHITE = 87.5;

  /** Share of the white surfaces that lies below their lit part. */
  private static final double LIT = 0.85;

  /**
   * Share of the picture that must be nearly white for the exposure to be set by white surfaces.
   */
  private static final double WHITES = 0.08;

  /** Tone that all but the lightest hundredth stay below. */
  private static final double LIGHT = -0.2;

  /** Tone that the darkest tenth is lifted towards. */
  private static final double DARK = -4.5;

  /** Stops from the darkest to the lightest tenth below which a picture looks flat. */
  private static final double FLAT = 3.2;

  private static final double LEAST = 0.05;

  /** Stops below the camera's own middle within which the outside counts as it was taken. */
  private static final double AS_TAKEN = 0.25;

  /** Share of the room's exposure that its windows have at least, so that no seam shows. */
  private static final double SHARE = 0.5;

  /** Tone that the middle of a view comes to beside white walls: L* 77. */
  private static final double VIEW = -0.95;

  /** The pass that exposes the room. */
  private static final String ROOM_PASS = "tone";

  private static final String ONE_CURVE =
      "Room and view share this curve: with two, lines would show along the window frame.";

  /** The pass that exposes the view. */
  private static final String VIEW_PASS = "tone-view";

  /** Shares by which the view's curve is brought nearer to the room's, as they are tried. */
  private static final double[] NEARER = {0, 0.34, 0.67, 1};

  /** Stops by which highlights can draw back what exposure lifts above that. */
  private static final double DRAWN_BACK = 0.6;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Seen seen = Seen.of(recipe, session);
    float[] tones = seen.tones();
    if (tones.length == 0) {
      return Proposal.none(recipe, "There is nothing beside the windows.");
    }
    boolean outdoors = Outdoors.seen(session.analysis());
    if (!outdoors && seen.neutralShare() >= WHITES) {
      return byCurve(recipe, seen, session);
    }
    Aim aim = outdoors ? asTaken(session, tones) : halfWay(tones);
    Tone tone = tone(tones, aim.stops(), outdoors);
    String said = said(tones, aim, tone);
    if (said.isEmpty()) {
      return Proposal.none(recipe, "The tones lie well as they are.");
    }
    Draft draft = new Draft(recipe);
    draft.pass(ROOM_PASS, tone, Seen.besideWindows(recipe), 1, said);
    return new Proposal(draft.done(), said);
  }

  /** White surfaces in their light brought to where paint looks white, by one curve. */
  private static Proposal byCurve(Recipe recipe, Seen seen, PreviewSession session) {
    double lit = lit(seen);
    double top = seen.top();
    double exposure = WhiteCurve.exposure(tone(lit), tone(WHITE), top);
    if (Math.abs(exposure) < 2 * LEAST) {
      return Proposal.none(recipe, "White surfaces look white as they are.");
    }
    String said =
        String.format(
            Locale.ROOT,
            "White surfaces in their light stand at L* %.0f and come to L* %.0f; middle tones are"
                + " %+.2f stops lighter, the light end stays below white.",
            lit,
            WHITE,
            exposure);
    Draft draft = new Draft(recipe);
    ToneCurve curve = WhiteCurve.of(Channels.BRIGHTNESS, exposure, top);
    draft.pass(ROOM_PASS, curve, Seen.besideWindows(recipe), 1, said);
    Optional<Where> windows = Seen.shownView(recipe);
    if (windows.isEmpty() || seen.view().length == 0) {
      return new Proposal(draft.done(), said);
    }
    Draft all = new Draft(recipe);
    all.pass(ROOM_PASS, curve, Where.EVERYWHERE, 1, said + " " + ONE_CURVE);
    return new Proposal(
        withView(draft.done(), all.done(), seen, windows.get(), exposure, session), said);
  }

  /**
   * The view exposed less than the room, but so near it that no line shows between the two; or as
   * the room is, if that draws fewer.
   *
   * @param room with the room exposed
   * @param all with the room and its view exposed alike
   * @param exposure of the room, stops
   */
  private static Recipe withView(
      Recipe room, Recipe all, Seen seen, Where windows, double exposure, PreviewSession session) {
    double less = Math.max(SHARE * exposure, Math.min(exposure, VIEW - at(seen.view(), 0.5)));
    double top = seen.top();
    double held = seen.viewOver() / 4;
    NewLines lines = new NewLines(session.analysis());
    Recipe best = room;
    int fewest = Integer.MAX_VALUE;
    for (double nearer : NEARER) {
      double own = less + nearer * (exposure - less);
      String why =
          nearer == 0
              ? "The view stays darker than white walls: %+.2f stops lighter only."
              : "The view is %+.2f stops lighter; kept darker, it would draw lines along its frame.";
      Draft draft = new Draft(room);
      draft.pass(
          VIEW_PASS,
          WhiteCurve.of(Channels.LIGHTNESS, own, top, WhiteCurve.TOP - (1 - nearer) * held),
          windows,
          1,
          String.format(Locale.ROOT, why, own));
      int drawn = lines.count(session, draft.done(), VIEW_PASS);
      if (drawn < fewest) {
        best = draft.done();
        fewest = drawn;
      }
      if (drawn == 0) {
        return best;
      }
    }
    return lines.count(session, all, ROOM_PASS) < fewest ? all : best;
  }

  /** Stops below white of a lightness. */
  private static double tone(double lightness) {
    return 3 * Math.log((lightness + 16) / 116) / Math.log(2);
  }

  /** The setting that exposes tones by so many stops, light and deep ones kept. */
  private static Tone tone(float[] tones, double wanted, boolean outdoors) {
    // what is light already must not burn; the rest is lifted by midtones and shadows
    double exposure =
        rounded(Math.min(wanted, Math.max(0, LIGHT + DRAWN_BACK - at(tones, 0.98))), 0.05);
    double rest = wanted - exposure < 2 * LEAST ? 0 : wanted - exposure;
    double midtones = rounded(bounded(0.5 * rest / 0.01, 0, outdoors ? 0 : 30), 1);
    double over = at(tones, 0.99) + exposure - LIGHT;
    double highlights = outdoors ? 0 : rounded(-bounded(over / 0.012, 0, 70), 1);
    double under = DARK - at(tones, 0.1) - exposure;
    double shadows = rounded(bounded(0.5 * (under + rest) / 0.015, 0, outdoors ? 12 : 30), 1);
    double spread = at(tones, 0.9) - at(tones, 0.1);
    double contrast = outdoors ? 0 : rounded(bounded((FLAT - spread) * 8, 0, 20), 1);
    return new Tone(
        Math.abs(exposure) > LEAST ? exposure : 0, contrast, highlights, shadows, midtones);
  }

  /** Why each value is there; empty where none is. */
  private static String said(float[] tones, Aim aim, Tone tone) {
    List<String> why = new ArrayList<>();
    if (tone.exposure() != 0) {
      why.add(String.format(Locale.ROOT, "%s, so exposure %+.2f", aim.why(), tone.exposure()));
    }
    if (tone.highlights() < 0) {
      why.add(
          String.format(
              Locale.ROOT,
              "the lightest would stand at %+.1f stops, so highlights %.0f",
              at(tones, 0.99) + tone.exposure(),
              tone.highlights()));
    }
    if (tone.shadows() > 0 && tone.midtones() == 0) {
      why.add(
          String.format(
              Locale.ROOT,
              "a tenth lies below %.1f stops, so shadows %+.0f, the deepest held",
              at(tones, 0.1) + tone.exposure(),
              tone.shadows()));
    }
    if (tone.midtones() > 0) {
      why.add(
          String.format(
              Locale.ROOT,
              "more exposure would burn the light end, so midtones %+.0f and shadows %+.0f",
              tone.midtones(),
              tone.shadows()));
    }
    if (tone.contrast() > 0) {
      why.add(
          String.format(
              Locale.ROOT,
              "tones spread over %.1f stops only, so contrast %+.0f",
              at(tones, 0.9) - at(tones, 0.1),
              tone.contrast()));
    }
    String said = String.join("; ", why);
    return said.isEmpty()
        ? said
        : said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1) + ".";
  }

  /**
   * How far all is to be exposed.
   *
   * @param why where that comes from
   */
  private record Aim(double stops, String why) {}

  /**
   * Where hardly anything is white, the room's middle comes half way to where the trade puts it.
   */
  private static Aim halfWay(float[] tones) {
    return new Aim(
        bounded(0.5 * (MIDDLE - at(tones, 0.5)), -0.5, 1),
        String.format(Locale.ROOT, "half of the room lies below %.1f stops", at(tones, 0.5)));
  }

  /** Lightness of the nearly neutral surfaces in their light. */
  private static double lit(Seen seen) {
    double[] white =
        seen.nearlyNeutral(Integer.MAX_VALUE).stream().mapToDouble(Lab::l).sorted().toArray();
    return white[(int) (LIT * (white.length - 1))];
  }

  /** The outside comes up to the light that the camera gave it; its sky is never darkened. */
  private static Aim asTaken(PreviewSession session, float[] tones) {
    Analysis analysis = session.analysis();
    Picture anchor = analysis.draw(analysis.frames().anchor(), analysis.small());
    float[] taken = new float[anchor.g().length];
    for (int i = 0; i < taken.length; i++) {
      taken[i] = Stops.of(Space.srgbLuminance(anchor.r()[i], anchor.g()[i], anchor.b()[i]));
    }
    Arrays.sort(taken);
    double by = at(taken, 0.5) - at(tones, 0.5);
    return new Aim(
        by < AS_TAKEN ? 0 : Math.min(by, 0.3),
        String.format(Locale.ROOT, "the camera's own middle lies %+.1f stops from here", by));
  }

  private static double at(float[] tones, double share) {
    return tones[(int) Math.min(tones.length - 1, share * tones.length)];
  }

  private static double bounded(double v, double from, double to) {
    return Math.max(from, Math.min(to, v));
  }

  private static double rounded(double v, double step) {
    double r = Math.round(v / step) * step;
    return r == 0 ? 0 : Math.round(r * 100) / 100.0;
  }
}
