package illuminar.server.shoot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Views of shoots. */
public interface Views extends JpaRepository<View, UUID> {
  List<View> findByShootIdOrderByPosition(UUID shoot);

  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where v.id = :id and s.studioId = :studio")
  Optional<View> findOwned(UUID id, UUID studio);
}
