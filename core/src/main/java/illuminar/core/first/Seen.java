package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.ShowView;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.core.region.part.Glazing;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** A picture as it stands, small, with what is seen through windows told apart. */
public final class Seen {
  private static final int LONG_EDGE = 360;

  /** Chroma up to which a surface may be a white one under a cast. */
  private static final double NEUTRAL = 20;

  /** Chroma from which on a thing is coloured under any cast. */
  private static final double COLOURED = 30;

  /** Bars and frames of windows, as a share of the picture's long edge. */
  private static final double FRAMES = 0.004;

  private final Picture picture;
  private final float[] outside;
  private List<Lab> neutral;

  private Seen(Picture picture, float[] outside) {
    this.picture = picture;
    this.outside = outside;
  }

  public static Seen of(Recipe recipe, PreviewSession session) {
    Analysis analysis = session.analysis();
    Raster raster = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
    Picture picture = session.picture(recipe, raster);
    return new Seen(picture, outside(recipe, session, raster));
  }

  /** How much of each pixel is seen through windows, 0 to 1. */
  public static float[] outside(Recipe recipe, PreviewSession session, Raster raster) {
    float[] outside = new float[raster.pixels()];
    for (Region region : recipe.regions()) {
      if (windows(region)) {
        float[] share = session.coverage(recipe, region.id(), raster).copy();
        for (int i = 0; i < outside.length; i++) {
          outside[i] = Math.max(outside[i], share[i]);
        }
      }
    }
    return outside;
  }

  /** Whether a region is that of the windows. */
  static boolean windows(Region region) {
    return !region.parts().isEmpty()
        && (region.parts().get(0).shape() instanceof WindowFinder
            || region.parts().get(0).shape() instanceof Glazing);
  }

  /** The region of the windows. */
  static Optional<Region> windowRegion(Recipe recipe) {
    return recipe.regions().stream().filter(Seen::windows).findFirst();
  }

  /** Outside the windows; everywhere where there are none. */
  public static Where besideWindows(Recipe recipe) {
    return windowRegion(recipe).map(r -> new Where(r.id(), true)).orElse(Where.EVERYWHERE);
  }

  /** The windows, if their view is shown by one curve. */
  static Optional<Where> shownView(Recipe recipe) {
    return recipe.passes().stream()
        .filter(p -> p.on() && p.move() instanceof ShowView)
        .map(Pass::where)
        .findFirst();
  }

  /**
   * Outside the windows with their bars and frames, which the view lights; a region for them is
   * added to the draft where windows are found as glazing.
   */
  static Where besideFrames(Draft draft, Recipe recipe, Analysis analysis) {
    boolean glazing =
        windowRegion(recipe).filter(r -> r.parts().get(0).shape() instanceof Glazing).isPresent();
    if (!glazing) {
      return besideWindows(recipe);
    }
    double px = FRAMES * Math.max(analysis.fullWidth(), analysis.fullHeight());
    Glazing grown = new Glazing(Math.min(40, Math.round(px)), Math.min(60, Math.round(px)));
    Region frames =
        draft.region("window-frames", "Windows and frames", Draft.add("glazing", grown));
    return new Where(frames.id(), true);
  }

  /** Tones of the room, in stops below white, from dark to light. */
  float[] tones() {
    return tones(i -> outside[i] < 0.5f);
  }

  /** Tones of what is seen through the windows, likewise. */
  public float[] view() {
    return tones(i -> outside[i] >= 0.5f);
  }

  /** Stops by which the brightest channel of the view's lighter half exceeds its tone. */
  double viewOver() {
    float[] view = view();
    float middle = view[view.length / 2];
    double[] over =
        IntStream.range(0, outside.length)
            .filter(i -> outside[i] >= 0.5f && Stops.of(picture.luminanceAt(i)) >= middle)
            .mapToDouble(this::over)
            .sorted()
            .toArray();
    return over[over.length / 2];
  }

  private double over(int i) {
    double[] rgb = Space.WORK_TO_SRGB.apply(picture.r()[i], picture.g()[i], picture.b()[i]);
    float most = (float) Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
    return Stops.of(most) - Stops.of(picture.luminanceAt(i));
  }

  /** Tone that all but the lightest two hundredths of the whole picture stay below, stops. */
  double top() {
    float[] tones = tones(i -> true);
    return tones[(int) (0.995 * (tones.length - 1))];
  }

  private float[] tones(IntPredicate counts) {
    float[] tones = new float[outside.length];
    int n = 0;
    for (int i = 0; i < outside.length; i++) {
      if (counts.test(i)) {
        tones[n++] = Stops.of(picture.luminanceAt(i));
      }
    }
    float[] sorted = Arrays.copyOf(tones, n);
    Arrays.sort(sorted);
    return sorted;
  }

  /** Light surfaces of the room that may be white ones under a cast: some of them, by chance. */
  public List<Lab> nearlyNeutral(int most) {
    if (neutral == null) {
      neutral = shuffledNeutral();
    }
    return neutral.subList(0, Math.min(most, neutral.size()));
  }

  private List<Lab> shuffledNeutral() {
    List<Lab> all = new ArrayList<>();
    for (int i : beside(Seen::maybeWhite)) {
      all.add(lab(i));
    }
    Collections.shuffle(all, new Random(1));
    return all;
  }

  /** Share of the room's pixels that {@link #nearlyNeutral} chooses from, 0 to 1. */
  public double neutralShare() {
    return (double) nearlyNeutral(Integer.MAX_VALUE).size() / Math.max(1, outside.length);
  }

  /**
   * What a pass did to colours beside the windows, on one picture before it and one after.
   *
   * @param was mean chroma of the light surfaces that were nearly neutral
   * @param neutral the same afterwards
   * @param coloured what coloured things kept of their chroma beyond the lean of light surfaces, as
   *     a share; a thing in the light's own colour loses no more than that light does
   */
  record Done(double was, double neutral, double coloured) {
    /** Chroma that coloured things keep at least, as a share, if a pass is to stay. */
    static final double KEPT = 0.6;
  }

  /** What was done from this picture to the next, which shows the same places. */
  Done doneBy(Seen next) {
    int[] light = beside(Seen::maybeWhite);
    Lab lean = mean(light);
    Lab left = next.mean(light);
    int[] coloured = beside(was -> was.l() > 20 && off(was, lean) > COLOURED);
    double had = Arrays.stream(coloured).mapToDouble(i -> off(lab(i), lean)).sum();
    double kept = Arrays.stream(coloured).mapToDouble(i -> off(next.lab(i), left)).sum();
    return new Done(chroma(light), next.chroma(light), had == 0 ? 1 : kept / had);
  }

  /** Whether a colour may be that of a white surface under a cast. */
  private static boolean maybeWhite(Lab lab) {
    return lab.l() > 40 && lab.l() < 97 && lab.chroma() < NEUTRAL;
  }

  /** The pixels beside the windows of which something holds. */
  private int[] beside(Predicate<Lab> holds) {
    return IntStream.range(0, outside.length)
        .filter(i -> outside[i] < 0.01f && holds.test(lab(i)))
        .toArray();
  }

  /** The mean of some pixels; neutral where there are none. */
  private Lab mean(int... pixels) {
    Lab sum = new Lab(0, 0, 0);
    for (int i : pixels) {
      Lab lab = lab(i);
      sum = new Lab(sum.l() + lab.l(), sum.a() + lab.a(), sum.b() + lab.b());
    }
    int n = Math.max(1, pixels.length);
    return new Lab(sum.l() / n, sum.a() / n, sum.b() / n);
  }

  private double chroma(int... pixels) {
    return Arrays.stream(pixels).mapToDouble(i -> lab(i).chroma()).average().orElse(0);
  }

  /** How far a colour is off another, whatever its lightness. */
  private static double off(Lab lab, Lab from) {
    return Math.hypot(lab.a() - from.a(), lab.b() - from.b());
  }

  private Lab lab(int i) {
    return Lab.ofWork(picture.r()[i], picture.g()[i], picture.b()[i]);
  }
}
