package illuminar.server.preflight;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was seen of views. */
interface LookedOvers extends JpaRepository<LookedOver, UUID> {}
