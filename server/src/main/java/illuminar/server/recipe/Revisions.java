package illuminar.server.recipe;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Revisions of recipes. */
public interface Revisions extends JpaRepository<Revision, Revision.Key> {
  Optional<Revision> findByViewIdAndNumber(UUID view, int number);

  @Query("select coalesce(max(r.number), 0) from Revision r where r.viewId = :view")
  int last(UUID view);

  @Query(
      "select r from Revision r where r.viewId = :view and r.parent = :parent and r.number > 1 order by r.number desc limit 1")
  Optional<Revision> newestAfter(UUID view, int parent);
}
