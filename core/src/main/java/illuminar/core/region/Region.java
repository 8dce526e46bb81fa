package illuminar.core.region;

import java.util.List;

/**
 * A named area of the view, drawn once and used by any number of passes. Its parts are joined in
 * order; what they make is grown, made edge-true, softened, thinned and turned round, in this
 * order.
 *
 * @param grow pixels at full size by which it is widened, or narrowed where below 0, −60 to 60
 * @param edge width in pixels at full size within which its edge follows the edges of the ground, 0
 *     for as drawn, to 200; tone and colour bands, which have these edges, lose their parts'
 *     softness there
 * @param feather width of the soft edge in pixels at full size (two standard deviations), 0 to 2000
 * @param density share of it that counts, 0 to 1
 * @param invert whether inside and outside change places
 */
public record Region(
    String id,
    String name,
    List<Part> parts,
    double grow,
    double edge,
    double feather,
    double density,
    boolean invert) {

  /** Softest edge of a region that looks at the picture below, pixels at full size. */
  public static final double LIVE_FEATHER = 200;

  public Region {
    parts = List.copyOf(parts);
    check("feather", feather, 0, 2000, "px");
    check("grow", grow, -60, 60, "px");
    check("edge", edge, 0, 200, "px");
    check("density", density, 0, 1, "");
    if (parts.size() > 100) {
      throw new IllegalArgumentException("a region holds at most 100 parts");
    }
    boolean live = parts.stream().anyMatch(p -> p.shape().look().from() == Look.From.BELOW);
    if (live && (edge > 0 || feather > LIVE_FEATHER)) {
      throw new IllegalArgumentException(
          name
              + " looks at the picture below a pass: it can be softened by up to "
              + (int) LIVE_FEATHER
              + " px, and not be made edge-true");
    }
  }

  /** A region as drawn, softened. */
  public Region(String id, String name, List<Part> parts, double feather, boolean invert) {
    this(id, name, parts, 0, 0, feather, 1, invert);
  }

  /** The same region of other parts. */
  public Region withParts(List<Part> other) {
    return new Region(id, name, other, grow, edge, feather, density, invert);
  }

  public static void check(String what, double value, double from, double to, String unit) {
    if (!(value >= from && value <= to)) {
      throw new IllegalArgumentException(
          (what + " is " + plain(from) + " to " + plain(to) + " " + unit).strip()
              + ", not "
              + plain(value));
    }
  }

  private static String plain(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v).replace('-', '−') : String.valueOf(v);
  }

  /** What its parts add, even the first by what it says: one that takes away is left out. */
  Region added() {
    return withParts(parts.stream().dropWhile(p -> p.combine() == Part.Combine.TAKE_AWAY).toList());
  }

  /** What its parts take away: those that take away add, and those that add take away of that. */
  Region takenAway() {
    return withParts(
        parts.stream()
            .map(Part::turned)
            .dropWhile(p -> p.combine() == Part.Combine.TAKE_AWAY)
            .toList());
  }
}
