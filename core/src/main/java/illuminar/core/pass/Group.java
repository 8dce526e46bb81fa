package illuminar.core.pass;

/**
 * Passes that belong together, with a region, a strength and a switch of their own. Each of its
 * passes works where both its own region and the group's reach, at the product of both strengths.
 *
 * @param strength 0 to 1
 */
public record Group(String id, String name, boolean on, Where where, double strength) {
  public Group {
    if (!(strength >= 0 && strength <= 1)) {
      throw new IllegalArgumentException("strength is between 0 and 1, not " + strength);
    }
  }
}
