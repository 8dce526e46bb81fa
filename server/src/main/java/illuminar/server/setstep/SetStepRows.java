package illuminar.server.setstep;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was done to several views in one go. */
interface SetStepRows extends JpaRepository<SetStep, UUID> {
  Optional<SetStep> findFirstByShootIdOrderByMadeDesc(UUID shoot);
}
