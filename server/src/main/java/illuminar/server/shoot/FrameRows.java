package illuminar.server.shoot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Frames of views. */
public interface FrameRows extends JpaRepository<FrameRow, UUID> {
  List<FrameRow> findByViewIdOrderByPosition(UUID view);

  @Query(
      "select f from FrameRow f join View v on v.id = f.viewId join Shoot s on s.id = v.shootId"
          + " where f.id = :id and s.studioId = :studio and v.binned is null and s.binned is null")
  Optional<FrameRow> findOwned(UUID id, UUID studio);

  @Query(
      "select f from FrameRow f join View v on v.id = f.viewId where v.shootId = :shoot"
          + " and v.binned is null and f.sha256 in :hashes")
  List<FrameRow> findInShoot(UUID shoot, List<String> hashes);

  @Query("select distinct f.sha256 from FrameRow f where f.viewId = :view")
  List<String> contents(UUID view);

  @Query(
      "select distinct f.sha256 from FrameRow f join View v on v.id = f.viewId where v.shootId = :shoot")
  List<String> contentsOfShoot(UUID shoot);

  boolean existsBySha256(String sha256);
}
