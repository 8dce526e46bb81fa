package illuminar.core.ground;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.picture.Point;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/** The first complete picture, under everything else. */
public sealed interface Ground {

  /** Ids of all frames that it is made from. */
  Set<String> sources();

  /** Ids of all frames that it names, whether it needs them now or not. */
  Set<String> named();

  /**
   * The same ground of those of its frames that are there; of the anchor alone, if none is.
   *
   * @param to where each place of the view is now
   */
  Ground among(Predicate<String> there, String anchor, UnaryOperator<Point> to);

  /** One frame as the camera rendered it. */
  record OneFrame(String frame) implements Ground {
    @Override
    public Set<String> sources() {
      return Set.of(frame);
    }

    @Override
    public Set<String> named() {
      return Set.of(frame);
    }

    @Override
    public Ground among(Predicate<String> there, String anchor, UnaryOperator<Point> to) {
      return there.test(frame) ? this : new OneFrame(anchor);
    }
  }

  /**
   * The frame that a moving thing is taken from.
   *
   * @param at a place within the thing, as a fraction of the anchor's long edge
   * @param frame id; one that the blend does not have counts as not chosen
   */
  record Chosen(Point at, String frame) {}

  /** A ground of several frames. */
  sealed interface Several extends Ground {

    /** Ids of the frames, at least one. */
    List<String> frames();

    /** Whether a thing that moves is taken from one frame alone. */
    boolean oneWhereMoving();

    /** Frames chosen by hand for moving things; the others are chosen by the ground. */
    List<Chosen> chosen();

    /** Share of one real frame mixed back in, 0 to 1. */
    double calm();

    /** The frame that calm mixes towards. */
    String towards();

    /** The same of other frames, of what is chosen in them, and calm mixed towards one of them. */
    Ground with(List<String> frames, List<Chosen> chosen, String towards);

    @Override
    default Set<String> sources() {
      Set<String> all = new LinkedHashSet<>(frames());
      if (calm() > 0) {
        all.add(towards());
      }
      return all;
    }

    @Override
    default Set<String> named() {
      Set<String> all = new LinkedHashSet<>(frames());
      chosen().forEach(c -> all.add(c.frame()));
      all.add(towards());
      return all;
    }

    @Override
    default Ground among(Predicate<String> there, String anchor, UnaryOperator<Point> to) {
      List<String> left = frames().stream().filter(there).toList();
      if (left.isEmpty()) {
        return new OneFrame(anchor);
      }
      List<Chosen> moved =
          chosen().stream()
              .filter(c -> there.test(c.frame()))
              .map(c -> new Chosen(to.apply(c.at()), c.frame()))
              .toList();
      return with(left, moved, there.test(towards()) ? towards() : anchor);
    }
  }

  private static List<Chosen> copied(List<Chosen> chosen) {
    if (chosen.size() > 200) {
      throw new IllegalArgumentException("at most 200 moving things are chosen by hand");
    }
    return List.copyOf(chosen);
  }

  /**
   * Several exposures blended by how well each shows a place.
   *
   * @param frames ids, at least one
   * @param contrast weight of detail, as an exponent, 1 as published
   * @param saturation weight of colourfulness
   * @param exposedness weight of lying near the middle of the tones
   * @param oneWhereMoving whether a thing that moves is taken from one frame alone
   * @param chosen frames chosen by hand for moving things; the others are chosen by the blend
   * @param calm share of one real frame mixed back in, 0 to 1
   * @param towards the frame that calm mixes towards
   */
  record EvenBlend(
      List<String> frames,
      @Control(
              label = "Detail",
              unit = "",
              from = 0,
              to = 3,
              step = 0.05,
              defaultValue = 1,
              help = "How much local contrast decides")
          double contrast,
      @Control(
              label = "Colourfulness",
              unit = "",
              from = 0,
              to = 3,
              step = 0.05,
              defaultValue = 1,
              help = "How much saturation decides")
          double saturation,
      @Control(
              label = "Exposedness",
              unit = "",
              from = 0,
              to = 3,
              step = 0.05,
              defaultValue = 1,
              help = "How much lying near the middle of the tones decides")
          double exposedness,
      boolean oneWhereMoving,
      List<Chosen> chosen,
      @Control(
              label = "Calm",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              defaultValue = 0,
              help = "Mixes the blend back towards one real frame")
          double calm,
      String towards)
      implements Several {
    public EvenBlend {
      frames = List.copyOf(frames);
      if (frames.isEmpty()) {
        throw new IllegalArgumentException("an even blend needs at least one frame");
      }
      chosen = copied(chosen);
      Numbers.check(EvenBlend.class, "contrast", contrast);
      Numbers.check(EvenBlend.class, "saturation", saturation);
      Numbers.check(EvenBlend.class, "exposedness", exposedness);
      Numbers.check(EvenBlend.class, "calm", calm);
    }

    /** With the published weights, moving things from wherever they show best. */
    public EvenBlend(List<String> frames, double calm, String towards) {
      this(frames, 1, 1, 1, false, List.of(), calm, towards);
    }

    @Override
    public Ground with(List<String> frames, List<Chosen> chosen, String towards) {
      return new EvenBlend(
          frames, contrast, saturation, exposedness, oneWhereMoving, chosen, calm, towards);
    }
  }

  /**
   * Several exposures merged to the light that they all measured, its wide differences compressed.
   *
   * @param frames ids, at least one
   * @param exposure stops
   * @param compression share of the wide differences of light that is taken out, 0 to 1
   * @param asLit share of the light's own tones and colours in place of the camera's rendition, 0
   *     to 1: half of the view lies below L* 58, and one soft curve keeps the light end below white
   * @param held share by which what the camera's rendition burns is drawn together below white, 0
   *     to 1
   * @param oneWhereMoving whether a thing that moves is taken from one frame alone
   * @param chosen frames chosen by hand for moving things; the others are chosen by the merge
   * @param calm share of one real frame mixed back in, 0 to 1
   * @param towards the frame that calm mixes towards
   */
  record RadianceMerge(
      List<String> frames,
      @Control(label = "Exposure", unit = "st", from = -4, to = 4, step = 0.05, defaultValue = 0)
          double exposure,
      @Control(
              label = "Compression",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              defaultValue = 0.55,
              help = "How far bright and dark parts are brought together; texture stays")
          double compression,
      @Control(
              label = "As lit",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              defaultValue = 0,
              help = "Tones and colours of the light itself instead of the camera's rendition")
          double asLit,
      @Control(
              label = "Hold lights",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              defaultValue = 1,
              help = "Draws what the camera's rendition burns together below white")
          double held,
      boolean oneWhereMoving,
      List<Chosen> chosen,
      @Control(
              label = "Calm",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              defaultValue = 0,
              help = "Mixes the merge back towards one real frame")
          double calm,
      String towards)
      implements Several {
    public RadianceMerge {
      frames = List.copyOf(frames);
      if (frames.isEmpty()) {
        throw new IllegalArgumentException("a radiance merge needs at least one frame");
      }
      Numbers.check(RadianceMerge.class, "exposure", exposure);
      Numbers.check(RadianceMerge.class, "compression", compression);
      Numbers.check(RadianceMerge.class, "asLit", asLit);
      Numbers.check(RadianceMerge.class, "held", held);
      chosen = copied(chosen);
      Numbers.check(RadianceMerge.class, "calm", calm);
    }

    @Override
    public Ground with(List<String> frames, List<Chosen> chosen, String towards) {
      return new RadianceMerge(
          frames, exposure, compression, asLit, held, oneWhereMoving, chosen, calm, towards);
    }
  }
}
