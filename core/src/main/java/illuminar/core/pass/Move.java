package illuminar.core.pass;

/**
 * What a pass does: a record, data only, that says its {@link Kind}. One kind is one file in {@code
 * kinds} and one line in their catalogue.
 */
public interface Move {

  /** Looks at the picture below and makes everything ready to work on tiles. */
  PreparedPass prepare(PassInput below);

  /**
   * What it does where its region's parts take away, of a kind that works {@link Kind#bothWays}.
   */
  default PreparedPass otherWay(PassInput below) {
    throw new UnsupportedOperationException(getClass().getSimpleName() + " has one way");
  }
}
