package illuminar.server.shoot;

/** Names that people give. */
public final class Names {
  private static final int LONGEST = 200;

  private Names() {}

  /**
   * A name without blanks round it.
   *
   * @param what is named, as one says it: "view"
   * @throws IllegalArgumentException where there is no name, or too long a one
   */
  public static String checked(String what, String name) {
    String plain = name == null ? "" : name.strip();
    if (plain.isEmpty()) {
      throw new IllegalArgumentException("Give the " + what + " a name.");
    }
    if (plain.length() > LONGEST) {
      throw new IllegalArgumentException(
          "The name of a " + what + " has at most " + LONGEST + " letters.");
    }
    return plain;
  }
}
