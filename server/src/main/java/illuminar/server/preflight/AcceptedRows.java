package illuminar.server.preflight;

import illuminar.core.set.Concern;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

/** Remarks that were let pass. */
interface AcceptedRows extends JpaRepository<Accepted, UUID> {
  List<Accepted> findByViewIdIn(List<UUID> views);

  @Transactional
  void deleteByViewIdAndConcernAndPass(UUID view, Concern concern, String pass);
}
