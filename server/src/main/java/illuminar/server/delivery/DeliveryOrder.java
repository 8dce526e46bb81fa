package illuminar.server.delivery;

import illuminar.core.render.OutputSharpness;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What was ordered.
 *
 * @param formats ids of formats
 * @param longEdge pixels of the long edge, 0 for full size
 * @param quality percent, for formats with loss
 * @param sharpness in delivered pixels; orders from before there was a choice say nothing of it
 */
record DeliveryOrder(
    List<UUID> views,
    List<String> formats,
    int longEdge,
    int quality,
    Optional<OutputSharpness> sharpness,
    String copyright) {
  private static final int LEAST_EDGE = 64;
  private static final int MOST_EDGE = 30_000;
  private static final int LEAST_QUALITY = 40;
  private static final int LONGEST_COPYRIGHT = 500;

  DeliveryOrder {
    views = views == null ? List.of() : List.copyOf(views);
    formats = formats == null ? List.of() : List.copyOf(formats);
    sharpness = sharpness == null ? Optional.empty() : sharpness;
    copyright = copyright == null ? "" : copyright.strip();
    if (views.isEmpty() || formats.isEmpty()) {
      throw new IllegalArgumentException("Choose at least one view and one format.");
    }
    if (longEdge != 0 && (longEdge < LEAST_EDGE || longEdge > MOST_EDGE)
        || quality < LEAST_QUALITY
        || quality > 100) {
      throw new IllegalArgumentException("Long edge is 64 to 30000 px, quality 40 to 100.");
    }
    if (copyright.length() > LONGEST_COPYRIGHT) {
      throw new IllegalArgumentException("A copyright line has at most 500 letters.");
    }
  }
}
