package illuminar.core.pass;

/**
 * What a pass does: a record, data only, that says its {@link Kind}. One kind is one file in {@code
 * kinds} and one line in their catalogue.
 */
public interface Move {

  /** Looks at the picture below and makes everything ready to work on tiles. */
  PreparedPass prepare(PassInput below);
}
