package illuminar.files;

import java.util.OptionalDouble;

/**
 * The lens that a frame was taken through.
 *
 * @param lens model, or empty
 * @param focal focal length in millimetres, above 0, where the lens told it
 * @param wide the focal length that sees as much on a frame whose long edge is 36 mm, above 0,
 *     where the camera told what it takes
 */
public record Optics(String lens, OptionalDouble focal, OptionalDouble wide) {
  public static final Optics UNKNOWN =
      new Optics("", OptionalDouble.empty(), OptionalDouble.empty());

  /** Numbers that are not above 0 say that nothing is known. */
  public static Optics of(String lens, double focal, double wide) {
    return new Optics(lens, known(focal), known(wide));
  }

  private static OptionalDouble known(double length) {
    return length > 0 && Double.isFinite(length)
        ? OptionalDouble.of(length)
        : OptionalDouble.empty();
  }
}
