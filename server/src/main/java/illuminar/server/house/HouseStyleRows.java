package illuminar.server.house;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** House styles, one of each studio that has one. */
interface HouseStyleRows extends JpaRepository<HouseStyleRow, UUID> {}
