package illuminar.server.house;

import illuminar.core.house.HouseStyle;
import illuminar.core.house.Learned;
import illuminar.core.recipe.Recipe;
import illuminar.server.recipe.History;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.Shoots;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** House styles: learned from finished views, kept, and put on first versions. */
@Service
public class HouseStyles {
  private final HouseStyleRows rows;
  private final Shoots all;
  private final ShootService shoots;
  private final RecipeService recipes;
  private final History history;
  private final RecipeJson json;

  HouseStyles(
      HouseStyleRows rows,
      Shoots all,
      ShootService shoots,
      RecipeService recipes,
      History history,
      RecipeJson json) {
    this.rows = rows;
    this.all = all;
    this.shoots = shoots;
    this.recipes = recipes;
    this.history = history;
    this.json = json;
  }

  /**
   * A studio's style.
   *
   * @param active whether first versions are made in it
   */
  public record Kept(boolean active, HouseStyle style) {}

  /** The style of a studio; one that changes nothing where it has none. */
  @Transactional(readOnly = true)
  public Kept of(UUID studio) {
    return rows.findById(studio)
        .map(r -> new Kept(r.active(), json.read(r.style(), HouseStyle.class)))
        .orElse(new Kept(true, HouseStyle.NONE));
  }

  @Transactional
  public void keep(UUID studio, Kept kept) {
    rows.save(new HouseStyleRow(studio, json.write(kept.style()), kept.active()));
  }

  /**
   * What was done to most of these views, beside their first versions; nothing is kept.
   *
   * @throws Problem if none of them has a first version
   */
  @Transactional(readOnly = true)
  public HouseStyle learned(UUID studio, List<UUID> views) {
    List<Learned.Finished> finished = new ArrayList<>();
    for (UUID id : views) {
      View view = shoots.ownedView(studio, id);
      history
          .first(view)
          .ifPresent(f -> finished.add(new Learned.Finished(f, recipes.state(view).recipe())));
    }
    if (finished.isEmpty()) {
      throw new Problem(
          HttpStatus.CONFLICT, "None of these views has a first version to learn from.");
    }
    return Learned.from(finished);
  }

  /**
   * Puts the studio's style on a first version, as a step that can be undone.
   *
   * @param view held, at its first version
   */
  @Transactional
  public void dress(View view) {
    UUID studio = all.findById(view.shootId()).orElseThrow().studioId();
    Kept kept = of(studio);
    if (!kept.active() || kept.style().nothing()) {
      return;
    }
    Recipe first = recipes.state(view).recipe();
    Recipe styled = kept.style().of(first);
    if (!styled.equals(first)) {
      recipes.step(view, styled, "house style");
      view.come(View.State.LINED_UP);
    }
  }
}
