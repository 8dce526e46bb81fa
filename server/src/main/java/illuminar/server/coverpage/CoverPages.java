package illuminar.server.coverpage;

import illuminar.core.cover.CoverPage;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.ShootService;
import illuminar.server.web.Problem;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The covers of shoots, each confined to its studio. */
@Service
class CoverPages {
  private static final int MOST = 24;

  private final CoverPageRows rows;
  private final ShootService shoots;
  private final RecipeJson json;

  CoverPages(CoverPageRows rows, ShootService shoots, RecipeJson json) {
    this.rows = rows;
    this.shoots = shoots;
    this.json = json;
  }

  /** A cover that is kept. */
  record Kept(UUID id, CoverPage page) {}

  @Transactional(readOnly = true)
  List<Kept> all(UUID studio, UUID shoot) {
    return rows.findByShootIdOrderByMade(shoots.owned(studio, shoot).id()).stream()
        .map(this::kept)
        .toList();
  }

  private Kept kept(CoverPageRow row) {
    return new Kept(row.id(), json.read(row.page(), CoverPage.class));
  }

  @Transactional(readOnly = true)
  Kept one(UUID studio, UUID id) {
    return kept(owned(studio, id));
  }

  @Transactional
  Kept keep(UUID studio, UUID shoot, CoverPage page) {
    shoots.owned(studio, shoot);
    if (rows.findByShootIdOrderByMade(shoot).size() >= MOST) {
      throw new Problem(
          HttpStatus.CONFLICT, "A shoot has at most " + MOST + " covers. Remove one first.");
    }
    return kept(rows.save(new CoverPageRow(shoot, json.write(page))));
  }

  @Transactional
  void change(UUID studio, UUID id, CoverPage page) {
    owned(studio, id).change(json.write(page));
  }

  @Transactional
  void remove(UUID studio, UUID id) {
    rows.delete(owned(studio, id));
  }

  private CoverPageRow owned(UUID studio, UUID id) {
    CoverPageRow row = rows.findById(id).orElseThrow(() -> Problem.notFound("cover"));
    shoots.owned(studio, row.shootId());
    return row;
  }
}
