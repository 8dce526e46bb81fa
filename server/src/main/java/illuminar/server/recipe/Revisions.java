package illuminar.server.recipe;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Revisions of recipes. */
public interface Revisions extends JpaRepository<Revision, Revision.Key> {
  Optional<Revision> findByViewIdAndNumber(UUID view, int number);

  @Query("select coalesce(max(r.number), 0) from Revision r where r.viewId = :view")
  int last(UUID view);

  /** The first revision that can be gone back to: what was before was made of other frames. */
  @Query(
      "select coalesce(max(r.number), 0) from Revision r where r.viewId = :view and r.parent = 0")
  int root(UUID view);

  /** A revision without its recipe. */
  record Line(int number, int parent, String said, Instant made) {}

  @Query(
      "select new illuminar.server.recipe.Revisions$Line(r.number, r.parent, r.said, r.made)"
          + " from Revision r where r.viewId = :view and r.number >= :from order by r.number desc limit :most")
  List<Line> lines(UUID view, int from, int most);

  @Query(
      "select r from Revision r where r.viewId = :view and r.parent = :parent and r.number > 1 order by r.number desc limit 1")
  Optional<Revision> newestAfter(UUID view, int parent);
}
