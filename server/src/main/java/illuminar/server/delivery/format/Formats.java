package illuminar.server.delivery.format;

import java.util.List;
import org.springframework.stereotype.Component;

/** The formats that files can be delivered in. */
@Component
public class Formats {
  private final List<OutputFormat> all;

  Formats(List<OutputFormat> all) {
    this.all = all;
  }

  public List<OutputFormat> all() {
    return all;
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
