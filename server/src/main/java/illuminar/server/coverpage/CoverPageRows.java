package illuminar.server.coverpage;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Covers of shoots. */
interface CoverPageRows extends JpaRepository<CoverPageRow, UUID> {
  List<CoverPageRow> findByShootIdOrderByMade(UUID shoot);
}
