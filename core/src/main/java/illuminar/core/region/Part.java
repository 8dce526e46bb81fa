package illuminar.core.region;

/**
 * One part of a region and how it joins the parts before it.
 *
 * @param combine how it joins; the first part of a region always adds
 */
public record Part(String id, Combine combine, Shape shape) {

  /** How a part joins what is already in the region. */
  public enum Combine {
    /** Union: the greater of the two. */
    ADD,
    /** The part is cut out. */
    TAKE_AWAY,
    /** Only what both hold stays. */
    OVERLAP
  }
}
