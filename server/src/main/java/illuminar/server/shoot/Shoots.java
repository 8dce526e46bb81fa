package illuminar.server.shoot;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Shoots, always of one studio; those in the bin are asked for by name. */
public interface Shoots extends JpaRepository<Shoot, UUID> {
  List<Shoot> findByStudioIdAndBinnedIsNullOrderByCreatedDesc(UUID studio);

  Optional<Shoot> findByIdAndStudioIdAndBinnedIsNull(UUID id, UUID studio);

  List<Shoot> findByStudioIdAndBinnedIsNotNull(UUID studio);

  List<Shoot> findByBinnedBefore(Instant time);
}
