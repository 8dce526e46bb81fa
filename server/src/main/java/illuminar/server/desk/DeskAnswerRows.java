package illuminar.server.desk;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Answers of the listing desk, by delivered file. */
interface DeskAnswerRows extends JpaRepository<DeskAnswerRow, UUID> {}
