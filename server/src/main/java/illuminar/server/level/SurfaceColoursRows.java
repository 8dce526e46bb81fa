package illuminar.server.level;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Colours of the surfaces of views. */
interface SurfaceColoursRows extends JpaRepository<SurfaceColours, UUID> {}
