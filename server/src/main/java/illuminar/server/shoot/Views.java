package illuminar.server.shoot;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Views of shoots. */
public interface Views extends JpaRepository<View, UUID> {
  List<View> findByShootIdOrderByPosition(UUID shoot);

  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where v.id = :id and s.studioId = :studio")
  Optional<View> findOwned(UUID id, UUID studio);

  /** The same, held until the transaction ends, so that changes of a recipe come one by one. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where v.id = :id and s.studioId = :studio")
  Optional<View> holdOwned(UUID id, UUID studio);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select v from View v where v.id = :id")
  Optional<View> hold(UUID id);
}
