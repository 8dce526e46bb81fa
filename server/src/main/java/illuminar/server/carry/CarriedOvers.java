package illuminar.server.carry;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was carried over in shoots. */
interface CarriedOvers extends JpaRepository<CarriedOver, UUID> {
  Optional<CarriedOver> findFirstByShootIdOrderByMadeDesc(UUID shoot);
}
