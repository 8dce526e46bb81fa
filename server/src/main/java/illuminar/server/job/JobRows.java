package illuminar.server.job;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Jobs, always of one studio where asked for from outside. */
public interface JobRows extends JpaRepository<Job, UUID> {
  Optional<Job> findByIdAndStudioId(UUID id, UUID studio);

  List<Job> findByShootIdAndStudioIdOrderByCreatedDesc(UUID shoot, UUID studio);

  @Query(
      "select j from Job j where j.shootId in :shoots and (j.finished is null or j.finished > :since)")
  List<Job> findOpenOrLately(Collection<UUID> shoots, Instant since);
}
