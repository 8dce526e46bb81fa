package illuminar.files;

import java.util.OptionalDouble;

/**
 * The lens that a frame was taken through.
 *
 * @param lens model, or empty
 * @param focal focal length in millimetres, above 0, where the lens told it
 */
public record Optics(String lens, OptionalDouble focal) {
  public static final Optics UNKNOWN = new Optics("", OptionalDouble.empty());
}
