package illuminar.server.shoot;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Views of shoots. */
public interface Views extends JpaRepository<View, UUID> {
  List<View> findByShootIdAndBinnedIsNullOrderByPosition(UUID shoot);

  int countByShootId(UUID shoot);

  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where v.id = :id and s.studioId = :studio"
          + " and v.binned is null and s.binned is null")
  Optional<View> findOwned(UUID id, UUID studio);

  /** The same, held until the transaction ends, so that changes of a recipe come one by one. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where v.id = :id and s.studioId = :studio"
          + " and v.binned is null and s.binned is null")
  Optional<View> holdOwned(UUID id, UUID studio);

  /** Views in the bin whose shoots are not. */
  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where s.studioId = :studio"
          + " and v.binned is not null and s.binned is null")
  List<View> findBinned(UUID studio);

  /** Those of a studio that rest, whoever is to be seen first in front. */
  @Query(
      "select v from View v join Shoot s on s.id = v.shootId where s.studioId = :studio"
          + " and v.binned is null and s.binned is null and v.restsUntil is not null"
          + " order by v.restsUntil, v.position")
  List<View> findResting(UUID studio);

  List<View> findByBinnedBefore(Instant time);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select v from View v where v.id = :id")
  Optional<View> hold(UUID id);
}
