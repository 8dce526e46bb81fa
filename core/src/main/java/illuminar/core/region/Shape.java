package illuminar.core.region;

import illuminar.core.analysis.FlashTroubles;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import java.util.List;

/**
 * What a part is made of. All lengths are fractions of the anchor's long edge unless said
 * otherwise.
 */
public sealed interface Shape {
  /** Strokes that one brush part may hold. */
  int MOST_STROKES = 10_000;

  /** The picture that the shape is found in. */
  default Look look() {
    return Look.GROUND;
  }

  /** Whether it can only be drawn with the ground at hand. */
  default boolean needsGround() {
    return false;
  }

  /** Whether each pixel's own colour says how far it belongs to it. */
  default boolean readsPixels() {
    return false;
  }

  /** A closed line through points; filled by the non-zero rule, so it may cross itself. */
  record Outline(List<Point> points, boolean smooth) implements Shape {
    public Outline {
      points = List.copyOf(points);
      if (points.size() > 5000) {
        throw new IllegalArgumentException("an outline holds at most 5000 points");
      }
    }

    /** With straight sides. */
    public Outline(List<Point> points) {
      this(points, false);
    }
  }

  /**
   * A closed line drawn freehand.
   *
   * @param path as {@link DrawnLine} writes it
   */
  record Loop(String path) implements Shape {
    public Loop {
      DrawnLine.check(path);
    }
  }

  /** All before {@code from}, nothing beyond {@code to}, an even change between the two. */
  record Ramp(Point from, Point to) implements Shape {}

  /**
   * An ellipse.
   *
   * @param wide half its width before it is turned, above 0
   * @param high half its height
   * @param turn degrees, clockwise
   * @param softness share of the way from its edge to its centre over which it fades, 0 to 1
   */
  record Ellipse(
      Point centre,
      double wide,
      double high,
      @Control(label = "Turn", unit = "°", from = -180, to = 180, step = 1, careful = 0)
          double turn,
      @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, careful = 0.5)
          double softness)
      implements Shape {
    public Ellipse {
      if (!(wide > 0 && high > 0 && wide <= 4 && high <= 4)) {
        throw new IllegalArgumentException("an ellipse needs a width and a height");
      }
      Numbers.check(Ellipse.class, "turn", turn);
      Numbers.check(Ellipse.class, "softness", softness);
    }
  }

  /**
   * Four corners with soft edges, such as a panel of light.
   *
   * @param softness pixels at full size over which it fades, half of them inside its line, 0 to
   *     1000
   */
  record Panel(
      List<Point> corners,
      @Control(label = "Softness", unit = "px", from = 0, to = 1000, step = 1, careful = 40)
          double softness)
      implements Shape {
    public Panel {
      corners = List.copyOf(corners);
      if (corners.size() != 4) {
        throw new IllegalArgumentException("a panel has four corners, not " + corners.size());
      }
      Numbers.check(Panel.class, "softness", softness);
    }
  }

  /**
   * Brush strokes in the order they were made.
   *
   * @param ceiling the most that strokes build up to, 0 to 1
   * @param limit id of the region that alone takes paint; empty for everywhere
   */
  record Brush(
      List<Stroke> strokes,
      @Control(
              label = "Ceiling",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              careful = 1,
              help = "The most that strokes build up to")
          double ceiling,
      String limit)
      implements Shape {
    public Brush {
      strokes = List.copyOf(strokes);
      if (strokes.size() > MOST_STROKES) {
        throw new IllegalArgumentException("a brush holds at most " + MOST_STROKES + " strokes");
      }
      Numbers.check(Brush.class, "ceiling", ceiling);
    }

    /** Everywhere, up to full cover. */
    public Brush(List<Stroke> strokes) {
      this(strokes, 1, "");
    }

    @Override
    public boolean needsGround() {
      return strokes.stream().anyMatch(s -> s.stop() > 0);
    }
  }

  /**
   * One stroke.
   *
   * @param radius half the brush's size
   * @param softness share of the radius over which it fades, 0 hard to 1 soft
   * @param flow how strongly the stroke covers, 0 to 1
   * @param takeAway whether it rubs out
   * @param stop CIE 1976 colour difference of the ground from what lies under the brush's centre at
   *     which paint stops, 0 for nowhere, to 100
   * @param path where it went, as {@link DrawnLine} writes it
   */
  record Stroke(
      double radius, double softness, double flow, boolean takeAway, double stop, String path) {
    public Stroke {
      if (!(radius > 0 && radius <= 1)
          || !(softness >= 0 && softness <= 1)
          || !(flow >= 0 && flow <= 1)) {
        throw new IllegalArgumentException("no such brush: size, softness or flow is out of range");
      }
      Region.check("stop", stop, 0, 100, "");
      DrawnLine.check(path);
    }

    /** That stops nowhere. */
    public Stroke(
        double radius, double softness, double flow, boolean takeAway, List<Point> points) {
      this(radius, softness, flow, takeAway, 0, DrawnLine.write(points));
    }
  }

  /** Which tones a tone band holds. */
  enum Tones {
    LIGHTS,
    DARKS,
    MIDTONES,
    /** By a free curve. */
    CURVE
  }

  /**
   * Some tones, by repeated product of the luminance code v: lights vⁿ, darks (1 − v)ⁿ, midtones
   * what both leave, (1 − vⁿ)(1 − (1 − v)ⁿ), brought to 1 at their most.
   *
   * @param exponent n, 1 to 8
   * @param less exponent of the narrower band of the same kind that is taken away, 0 for none
   * @param curve points of the free curve, tone code to share, both 0 to 1
   * @param black share that becomes 0
   * @param white share that becomes 1, above {@code black}
   */
  record ToneBand(
      Look look,
      Tones tones,
      @Control(
              label = "Narrowness",
              unit = "",
              from = 1,
              to = 8,
              step = 0.05,
              careful = 2,
              help = "How often the luminance is multiplied by itself")
          double exponent,
      @Control(
              label = "Take away",
              unit = "",
              from = 0,
              to = 8,
              step = 0.05,
              careful = 0,
              help = "The narrower band of the same tones that is taken away; below 1 none")
          double less,
      List<Point> curve,
      @Control(
              label = "Black",
              unit = "%",
              from = 0,
              to = 0.99,
              step = 0.01,
              careful = 0,
              help = "Shares below become nothing")
          double black,
      @Control(
              label = "White",
              unit = "%",
              from = 0.01,
              to = 1,
              step = 0.01,
              careful = 1,
              help = "Shares above become all")
          double white)
      implements Shape {
    public ToneBand {
      curve = List.copyOf(curve);
      Numbers.check(ToneBand.class, "exponent", exponent);
      Numbers.check(ToneBand.class, "less", less);
      if (tones == Tones.CURVE && curve.size() < 2) {
        throw new IllegalArgumentException("a curve over the tones needs at least two points");
      }
      if (!(black >= 0 && white <= 1 && white - black >= 0.01)) {
        throw new IllegalArgumentException("black lies below white, both from 0 to 1");
      }
    }

    @Override
    public boolean needsGround() {
      return look.from() == Look.From.GROUND;
    }

    @Override
    public boolean readsPixels() {
      return true;
    }
  }

  /** A colour by hue angle h*ab in degrees and chroma C*ab, CIE L*a*b* D50. */
  record Pick(double hue, double chroma) {}

  /**
   * Colours round picked ones.
   *
   * @param hue degrees to either side, 1 to 180
   * @param chroma C*ab to either side, 1 to 150
   * @param softness share of both over which it fades, 0 to 1
   */
  record ColourBand(
      Look look,
      List<Pick> picks,
      @Control(label = "Hue", unit = "°", from = 1, to = 180, step = 1, careful = 25) double hue,
      @Control(label = "Chroma", unit = "", from = 1, to = 150, step = 1, careful = 20)
          double chroma,
      @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, careful = 0.5)
          double softness)
      implements Shape {
    public ColourBand {
      picks = List.copyOf(picks);
      if (picks.isEmpty() || picks.size() > 20) {
        throw new IllegalArgumentException("a colour band has 1 to 20 picked colours");
      }
      Numbers.check(ColourBand.class, "hue", hue);
      Numbers.check(ColourBand.class, "chroma", chroma);
      Numbers.check(ColourBand.class, "softness", softness);
    }

    @Override
    public boolean needsGround() {
      return look.from() == Look.From.GROUND;
    }

    @Override
    public boolean readsPixels() {
      return true;
    }
  }

  /**
   * What has nearly the colour of one place.
   *
   * @param tolerance CIE 1976 colour difference to which it reaches, 0.5 to 100
   * @param softness share of the tolerance over which it fades, 0 to 1
   * @param connected whether it must hang together with that place
   */
  record SimilarColour(
      Look look,
      Point at,
      @Control(
              label = "Tolerance",
              unit = "",
              from = 0.5,
              to = 100,
              step = 0.5,
              careful = 12,
              help = "Colour difference to which it reaches")
          double tolerance,
      @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, careful = 0.3)
          double softness,
      boolean connected)
      implements Shape {
    public SimilarColour {
      Numbers.check(SimilarColour.class, "tolerance", tolerance);
      Numbers.check(SimilarColour.class, "softness", softness);
      if (look.from() == Look.From.BELOW) {
        throw new IllegalArgumentException("similar colour looks at the ground or at a frame");
      }
    }

    @Override
    public boolean needsGround() {
      return look.from() == Look.From.GROUND;
    }
  }

  /**
   * The panes of the windows, found in the frames: burnt in the ambient frames, well exposed in the
   * window frame, glazing bars left out.
   *
   * @param grow pixels at full size by which the panes are widened, −20 to 20
   */
  record WindowFinder(
      @Control(label = "Grow", unit = "px", from = -20, to = 20, step = 1, careful = 0) double grow)
      implements Shape {
    public WindowFinder {
      Numbers.check(WindowFinder.class, "grow", grow);
    }
  }

  /**
   * Where a frame is burnt or nearly so.
   *
   * @param frame id of the frame
   * @param reach stops below the highest code at which the part begins, 0 to 3
   * @param bloom pixels at full size over which the glow round it belongs to it, 0 to 400
   */
  record BurntLight(
      String frame,
      @Control(
              label = "Reach",
              unit = "st",
              from = 0,
              to = 3,
              step = 0.05,
              careful = 0.4,
              help = "Stops below the highest code at which it begins")
          double reach,
      @Control(
              label = "Bloom",
              unit = "px",
              from = 0,
              to = 400,
              step = 1,
              careful = 0,
              help = "How far the glow round it belongs to it")
          double bloom)
      implements Shape {
    public BurntLight {
      Numbers.check(BurntLight.class, "reach", reach);
      Numbers.check(BurntLight.class, "bloom", bloom);
    }

    /** Without the glow round it. */
    public BurntLight(String frame, double reach) {
      this(frame, reach, 0);
    }
  }

  /**
   * Where the frames show different things, exposure apart.
   *
   * @param least disagreement in stops from which a place counts as moving, 0.05 to 3
   */
  record Moving(
      @Control(
              label = "Least",
              unit = "st",
              from = 0.05,
              to = 3,
              step = 0.05,
              careful = 0.4,
              help = "Disagreement from which a place counts as moving")
          double least)
      implements Shape {
    public Moving {
      Numbers.check(Moving.class, "least", least);
    }
  }

  /**
   * Where a flash makes hot spots or throws hard shadows.
   *
   * @param flash id of the flash frame
   * @param least stops by which the flash stands out of its surroundings, 0.2 to 4
   */
  record FlashTrouble(
      String flash,
      FlashTroubles.Trouble trouble,
      @Control(
              label = "Least",
              unit = "st",
              from = 0.2,
              to = 4,
              step = 0.05,
              careful = 0.3,
              help = "How far the flash stands out of its surroundings")
          double least)
      implements Shape {
    public FlashTrouble {
      Numbers.check(FlashTrouble.class, "least", least);
    }
  }

  /** Another region, as it stands. */
  record OtherRegion(String region) implements Shape {}
}
