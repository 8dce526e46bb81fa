package illuminar.server.delivery.specification;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Specifications of studios. */
interface SpecificationRows extends JpaRepository<SpecificationRow, UUID> {
  List<SpecificationRow> findByStudioIdOrderByPosition(UUID studio);

  Optional<SpecificationRow> findByIdAndStudioId(UUID id, UUID studio);
}
