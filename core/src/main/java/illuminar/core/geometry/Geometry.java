package illuminar.core.geometry;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;

/**
 * How the finished picture lies on the anchor's: the lens's bulge and fringes taken out, turned,
 * set upright as if the camera had been level, and cut. All of it is one resampling after all
 * passes; regions, probes and strokes stay where they are on the anchor.
 *
 * <p>The lens after Brown (1966): a ray at the radius ρ, 1 at the corner, falls at ρ·(1 + k₁ρ² +
 * k₂ρ⁴). Upright turns the camera about its own centre, so that the room keeps its proportions
 * (Hartley and Zisserman 2003, 8.4.2).
 *
 * @param turn clockwise, degrees
 * @param pitch by how much the camera looked up, degrees
 * @param yaw by how much the camera looked to the right, degrees
 * @param strength how much of pitch and yaw is taken out, 0 to 1
 * @param focal length on a frame whose long edge is 36 mm; matters where pitch or yaw do
 * @param bulge −k₁ in percent: barrel above 0, pincushion below
 * @param outer −k₂ in percent
 * @param red by how much red lies farther out than green, percent of the radius
 * @param blue likewise
 * @param why lines that explain it, where the product found it; else empty
 */
public record Geometry(
    @Control(
            label = "Straighten",
            unit = "°",
            from = -45,
            to = 45,
            step = 0.05,
            defaultValue = 0,
            help = "Turns the picture clockwise")
        double turn,
    @Control(
            label = "Verticals",
            unit = "°",
            from = -20,
            to = 20,
            step = 0.05,
            defaultValue = 0,
            help = "As if the camera had looked up by so much less: walls that lean in stand up")
        double pitch,
    @Control(
            label = "Horizontals",
            unit = "°",
            from = -20,
            to = 20,
            step = 0.05,
            defaultValue = 0,
            help = "As if the camera had faced the wall in front: shelves that slope lie level")
        double yaw,
    @Control(
            label = "Upright by",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help =
                "How far verticals and horizontals are set up: tall fronts look right a little short of all")
        double strength,
    @Control(
            label = "Focal length",
            unit = "mm",
            from = 10,
            to = 200,
            step = 1,
            defaultValue = 24,
            help = "On a frame 36 mm wide; keeps the room's proportions while verticals are set up")
        double focal,
    @Control(
            label = "Bulge",
            unit = "%",
            from = -15,
            to = 15,
            step = 0.05,
            defaultValue = 0,
            help = "Straight lines that bow outwards, above 0, or inwards, below")
        double bulge,
    @Control(
            label = "Bulge far out",
            unit = "%",
            from = -5,
            to = 5,
            step = 0.05,
            defaultValue = 0,
            help = "The same towards the corners alone")
        double outer,
    @Control(
            label = "Red fringe",
            unit = "%",
            from = -0.5,
            to = 0.5,
            step = 0.005,
            defaultValue = 0,
            help = "Red edges towards the corners")
        double red,
    @Control(
            label = "Blue fringe",
            unit = "%",
            from = -0.5,
            to = 0.5,
            step = 0.005,
            defaultValue = 0,
            help = "Blue edges towards the corners")
        double blue,
    Crop crop,
    String why) {
  /** The anchor's own. */
  public static final Geometry NONE = new Geometry(0, 0, 0, 24, 0, 0, 0, 0, Crop.NONE);

  public Geometry {
    Numbers.check(Geometry.class, "turn", turn);
    Numbers.check(Geometry.class, "pitch", pitch);
    Numbers.check(Geometry.class, "yaw", yaw);
    Numbers.check(Geometry.class, "strength", strength);
    Numbers.check(Geometry.class, "focal", focal);
    Numbers.check(Geometry.class, "bulge", bulge);
    Numbers.check(Geometry.class, "outer", outer);
    Numbers.check(Geometry.class, "red", red);
    Numbers.check(Geometry.class, "blue", blue);
  }

  /** As set by hand. */
  public Geometry(
      double turn,
      double pitch,
      double yaw,
      double focal,
      double bulge,
      double outer,
      double red,
      double blue,
      Crop crop) {
    this(turn, pitch, yaw, 1, focal, bulge, outer, red, blue, crop, "");
  }

  /** Whether pixels lie elsewhere than on the anchor, but for what is cut. */
  public boolean moves() {
    return turn != 0 || tilted() || bulge != 0 || outer != 0 || red != 0 || blue != 0;
  }

  private boolean tilted() {
    return strength != 0 && (pitch != 0 || yaw != 0);
  }

  /** The same of a camera that was turned otherwise, all of it taken out. */
  public Geometry turned(double roll, double up, double right) {
    return new Geometry(roll, up, right, 1, focal, bulge, outer, red, blue, crop, why);
  }

  /** The same of a lens of another focal length, as far as it may be one, on a frame 36 mm wide. */
  public Geometry seenWith(double length) {
    double held = Numbers.held(Geometry.class, "focal", Math.rint(length * 10) / 10);
    return new Geometry(turn, pitch, yaw, strength, held, bulge, outer, red, blue, crop, why);
  }

  /** The same with another bulge taken out. */
  public Geometry straightened(double bow) {
    return new Geometry(turn, pitch, yaw, strength, focal, bow, outer, red, blue, crop, why);
  }

  /** The same with other fringes taken out. */
  public Geometry fringed(double redder, double bluer) {
    return new Geometry(turn, pitch, yaw, strength, focal, bulge, outer, redder, bluer, crop, why);
  }

  /** The same with another crop. */
  public Geometry with(Crop other) {
    return new Geometry(turn, pitch, yaw, strength, focal, bulge, outer, red, blue, other, why);
  }

  /** The same as set by hand. */
  public Geometry unexplained() {
    return new Geometry(turn, pitch, yaw, strength, focal, bulge, outer, red, blue, crop, "");
  }

  /** The same with a further line that explains it. */
  public Geometry because(String line) {
    String all = why.isEmpty() ? line : why.contains(line) ? why : why + " " + line;
    return new Geometry(turn, pitch, yaw, strength, focal, bulge, outer, red, blue, crop, all);
  }
}
