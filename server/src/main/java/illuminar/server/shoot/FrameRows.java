package illuminar.server.shoot;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Frames of views. */
public interface FrameRows extends JpaRepository<FrameRow, UUID> {
  /** The frames of a view, without those in the bin. */
  List<FrameRow> findByViewIdAndBinnedIsNullOrderByPosition(UUID view);

  Optional<FrameRow> findByViewIdAndSha256(UUID view, String sha256);

  /** Frames in the bin whose views and shoots are not. */
  @Query(
      "select f from FrameRow f join View v on v.id = f.viewId join Shoot s on s.id = v.shootId"
          + " where s.studioId = :studio and f.binned is not null and v.binned is null"
          + " and s.binned is null")
  List<FrameRow> findBinned(UUID studio);

  List<FrameRow> findByBinnedBefore(Instant time);

  @Query(
      "select f from FrameRow f join View v on v.id = f.viewId join Shoot s on s.id = v.shootId"
          + " where f.id = :id and s.studioId = :studio and f.binned is null and v.binned is null and s.binned is null")
  Optional<FrameRow> findOwned(UUID id, UUID studio);

  @Query(
      "select f from FrameRow f join View v on v.id = f.viewId where v.shootId = :shoot"
          + " and f.binned is null and v.binned is null and f.sha256 in :hashes")
  List<FrameRow> findInShoot(UUID shoot, List<String> hashes);

  /** Ids of all frames of a view, with those in the bin. */
  @Query("select cast(f.id as string) from FrameRow f where f.viewId = :view")
  Set<String> ids(UUID view);

  @Query("select distinct f.sha256 from FrameRow f where f.viewId = :view")
  List<String> contents(UUID view);

  @Query(
      "select distinct f.sha256 from FrameRow f join View v on v.id = f.viewId where v.shootId = :shoot")
  List<String> contentsOfShoot(UUID shoot);

  boolean existsBySha256(String sha256);
}
