package illuminar.files;

import java.util.Locale;

/**
 * The camera that a frame was taken with.
 *
 * @param make who made it, or empty
 * @param model its name, or empty
 */
public record MakeAndModel(String make, String model) {
  public static final MakeAndModel UNKNOWN = new MakeAndModel("", "");

  /** Make and model as one name; many cameras say their make in the model as well. */
  public String name() {
    boolean said = model.toLowerCase(Locale.ROOT).startsWith(make.toLowerCase(Locale.ROOT));
    return said ? model : (make + " " + model).strip();
  }
}
