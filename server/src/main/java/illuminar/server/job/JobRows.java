package illuminar.server.job;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Jobs, always of one studio where asked for from outside. */
public interface JobRows extends JpaRepository<Job, UUID> {
  Optional<Job> findByIdAndStudioId(UUID id, UUID studio);

  List<Job> findByShootIdAndStudioIdOrderByCreatedDesc(UUID shoot, UUID studio);
}
