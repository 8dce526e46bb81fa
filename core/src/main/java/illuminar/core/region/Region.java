package illuminar.core.region;

import java.util.List;

/**
 * A named area of the view, drawn once and used by any number of passes.
 *
 * @param feather width of the soft edge in pixels at full size (two standard deviations), 0 to 2000
 * @param invert whether inside and outside change places
 */
public record Region(String id, String name, List<Part> parts, double feather, boolean invert) {
  public Region {
    parts = List.copyOf(parts);
    if (!(feather >= 0 && feather <= 2000)) {
      throw new IllegalArgumentException("feather is 0 to 2000 px, not " + feather);
    }
    if (parts.size() > 100) {
      throw new IllegalArgumentException("a region holds at most 100 parts");
    }
  }
}
