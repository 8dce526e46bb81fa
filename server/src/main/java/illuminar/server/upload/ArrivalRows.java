package illuminar.server.upload;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was sent. */
interface ArrivalRows extends JpaRepository<Arrival, UUID> {
  List<Arrival> findByShootIdOrderByName(UUID shoot);

  Optional<Arrival> findByShootIdAndName(UUID shoot, String name);

  List<Arrival> findByShootIdAndNameIn(UUID shoot, Collection<String> names);

  List<Arrival> findByShootIdAndSha256In(UUID shoot, Collection<String> hashes);
}
