package illuminar.server.alternative;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Alternatives of views. */
interface AlternativeRows extends JpaRepository<Alternative, UUID> {
  List<Alternative> findByViewIdOrderByMade(UUID view);

  Optional<Alternative> findByViewIdAndChosenTrue(UUID view);
}
