package illuminar.server.people;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;

/** All invitations that nobody has taken up. */
interface Invitations extends JpaRepository<Invitation, UUID> {
  List<Invitation> findByStudioIdOrderByUntil(UUID studio);

  /** Held until the transaction ends, so that two who follow one link do not both join. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<Invitation> findByHash(String hash);

  Optional<Invitation> findByIdAndStudioId(UUID id, UUID studio);
}
