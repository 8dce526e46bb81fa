package illuminar.server.shoot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Shoots, always of one studio. */
public interface Shoots extends JpaRepository<Shoot, UUID> {
  List<Shoot> findByStudioIdOrderByCreatedDesc(UUID studio);

  Optional<Shoot> findByIdAndStudioId(UUID id, UUID studio);
}
