package illuminar.server.audit;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** All audit lines. */
interface AuditLines extends JpaRepository<AuditLine, UUID> {
  List<AuditLine> findByStudioIdOrderByAtDesc(UUID studio, Limit most);
}
