package illuminar.server.balance;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Balance boards by their view. */
interface BoardRows extends JpaRepository<BoardRow, UUID> {}
