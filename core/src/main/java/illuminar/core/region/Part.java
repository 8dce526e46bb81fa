package illuminar.core.region;

/**
 * One part of a region and how it joins the parts before it.
 *
 * @param combine how it joins; the first part of a region always adds
 * @param feather width of its soft edge in pixels at full size (two standard deviations), 0 to 2000
 * @param strength how much of it counts, 0 to 1
 * @param invert whether its inside and outside change places
 * @param off whether it is left out for now
 */
public record Part(
    String id,
    Combine combine,
    Shape shape,
    double feather,
    double strength,
    boolean invert,
    boolean off) {

  /** How a part joins what is already in the region. */
  public enum Combine {
    /** Union: the greater of the two. */
    ADD,
    /** The part is cut out. */
    TAKE_AWAY,
    /** Only what both hold stays. */
    OVERLAP
  }

  public Part {
    Region.check("feather", feather, 0, 2000, "px");
    Region.check("strength", strength, 0, 1, "");
  }

  /** A part with a hard edge, at full strength. */
  public Part(String id, Combine combine, Shape shape) {
    this(id, combine, shape, 0, 1, false, false);
  }

  /** The same part, left out for now. */
  public Part switchedOff() {
    return new Part(id, combine, shape, feather, strength, invert, true);
  }

  /** The same part of another shape. */
  public Part withShape(Shape other) {
    return new Part(id, combine, other, feather, strength, invert, off);
  }

  /** The same part, taking away what it adds and adding what it takes away. */
  Part turned() {
    Combine other =
        switch (combine) {
          case ADD -> Combine.TAKE_AWAY;
          case TAKE_AWAY -> Combine.ADD;
          case OVERLAP -> Combine.OVERLAP;
        };
    return new Part(id, other, shape, feather, strength, invert, off);
  }
}
