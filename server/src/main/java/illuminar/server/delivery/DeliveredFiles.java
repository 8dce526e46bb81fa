package illuminar.server.delivery;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Finished files. */
public interface DeliveredFiles extends JpaRepository<Delivered, UUID> {
  @Query(
      "select d from Delivered d join Job j on j.id = d.jobId where j.shootId = :shoot order by j.created desc, d.name")
  List<Delivered> ofShoot(UUID shoot);

  @Query(
      "select d from Delivered d join Job j on j.id = d.jobId where d.id = :id and j.studioId = :studio")
  Optional<Delivered> findOwned(UUID id, UUID studio);

  List<Delivered> findByJobIdOrderByName(UUID job);

  boolean existsByJobIdAndName(UUID job, String name);

  @Transactional
  void deleteByJobIdAndName(UUID job, String name);
}
