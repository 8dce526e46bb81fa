package illuminar.server.client;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** Links for clients. */
interface ClientLinks extends JpaRepository<ClientLink, UUID> {
  List<ClientLink> findByShootIdOrderByMadeDesc(UUID shoot);

  Optional<ClientLink> findByHash(String hash);

  Optional<ClientLink> findByIdAndStudioId(UUID id, UUID studio);

  /** One more download; counted in the database, whoever fetches at the same time. */
  @Modifying
  @Transactional
  @Query("update ClientLink l set l.downloads = l.downloads + 1 where l.id = :id")
  void count(UUID id);
}
