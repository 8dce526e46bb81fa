package illuminar.server.delivery.format;

import java.util.List;
import org.springframework.stereotype.Component;

/** The formats that files can be delivered in. */
@Component
public class Formats {
  private final List<OutputFormat> all;
  private final Watermarks watermarks;

  Formats(List<OutputFormat> all, Watermarks watermarks) {
    this.all = all;
    this.watermarks = watermarks;
  }

  public List<OutputFormat> all() {
    return all;
  }

  /**
   * Looks whether files can be made as specified.
   *
   * @throws IllegalArgumentException if not
   */
  public void check(Specification as) {
    OutputFormat format = of(as.format());
    if (!as.watermark().none() && !format.watermarked()) {
      throw new IllegalArgumentException(
          format.name() + " is for going on by hand, and has no watermark.");
    }
    watermarks.check(as.watermark());
  }

  /**
   * @throws IllegalArgumentException if there is no such format
   */
  public OutputFormat of(String id) {
    return all.stream()
        .filter(f -> f.id().equals(id))
        .findFirst()
        .orElseThrow(
            () -> new IllegalArgumentException("Files cannot be delivered as " + id + "."));
  }
}
