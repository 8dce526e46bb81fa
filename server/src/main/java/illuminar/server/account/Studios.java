package illuminar.server.account;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** All studios. */
public interface Studios extends JpaRepository<Studio, UUID> {}
