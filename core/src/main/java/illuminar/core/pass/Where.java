package illuminar.core.pass;

/**
 * Where a pass works.
 *
 * @param region id of the region, or empty for everywhere
 * @param outside whether it works outside the region instead
 */
public record Where(String region, boolean outside) {
  public static final Where EVERYWHERE = new Where("", false);

  public boolean everywhere() {
    return region.isEmpty();
  }
}
