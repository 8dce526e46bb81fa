package illuminar.core.pass;

/**
 * One move in the recipe: what it does × where × on which tones × how strongly.
 *
 * @param strength 0 to 1; at 0 the picture stays exactly as it is
 * @param why a line that explains the pass, where the product made it; else empty
 * @param group id of the group that it belongs to, or empty
 */
public record Pass(
    String id,
    boolean on,
    Move move,
    Where where,
    Gate gate,
    double strength,
    String why,
    String group) {
  public Pass {
    if (!(strength >= 0 && strength <= 1)) {
      throw new IllegalArgumentException("strength is between 0 and 1, not " + strength);
    }
  }

  /** A pass of no group. */
  public Pass(
      String id, boolean on, Move move, Where where, Gate gate, double strength, String why) {
    this(id, on, move, where, gate, strength, why, "");
  }

  /** The same pass, switched on or off. */
  public Pass switched(boolean to) {
    return new Pass(id, to, move, where, gate, strength, why, group);
  }

  /** The same pass of another move. */
  public Pass withMove(Move other) {
    return new Pass(id, on, other, where, gate, strength, why, group);
  }

  /** The same pass as made by hand. */
  public Pass unexplained() {
    return explained("");
  }

  /** The same pass for another reason. */
  public Pass explained(String because) {
    return new Pass(id, on, move, where, gate, strength, because, group);
  }

  /** The same pass in another group, or in none where it is empty. */
  public Pass withGroup(String other) {
    return new Pass(id, on, move, where, gate, strength, why, other);
  }

  /** The same pass of another strength. */
  public Pass withStrength(double other) {
    return new Pass(id, on, move, where, gate, other, why, group);
  }

  /** The same pass by another id. */
  public Pass called(String other) {
    return new Pass(other, on, move, where, gate, strength, why, group);
  }

  /** Whether the pass can change anything. */
  public boolean active() {
    return on && strength > 0;
  }
}
