package illuminar.server.delivery;

import illuminar.server.delivery.format.Specification;
import jakarta.validation.constraints.NotNull;
import java.util.HashSet;
import java.util.List;
import java.util.UUID;

/**
 * What was ordered: every view by every specification. Specifications are kept as they were when
 * they were ordered.
 *
 * @param views in the order of delivery
 */
record DeliveryOrder(
    @NotNull List<UUID> views,
    @NotNull List<Specification> specifications,
    @NotNull OrderCredits credits) {
  private static final int MOST_SPECIFICATIONS = 12;

  DeliveryOrder {
    views = views == null ? List.of() : List.copyOf(views);
    specifications = specifications == null ? List.of() : List.copyOf(specifications);
    credits = credits == null ? new OrderCredits("", "", "", "", List.of()) : credits;
    if (views.isEmpty() || specifications.isEmpty()) {
      throw new IllegalArgumentException("Choose at least one view and one specification.");
    }
    if (specifications.size() > MOST_SPECIFICATIONS
        || new HashSet<>(views).size() != views.size()) {
      throw new IllegalArgumentException("A delivery has each view once and 12 specifications.");
    }
  }
}
