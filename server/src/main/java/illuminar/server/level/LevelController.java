package illuminar.server.level;

import illuminar.core.colour.Lab;
import illuminar.core.set.LevelSet;
import illuminar.server.account.Member;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One house, one colour: surfaces over a whole shoot, and levelling it by them. */
@RestController
@RequestMapping("/api/shoots/{shoot}/surfaces")
class LevelController {
  private final ShootService shoots;
  private final Surfaces surfaces;
  private final RecipeService recipes;
  private final Jobs jobs;
  private final RecipeJson json;

  LevelController(
      ShootService shoots, Surfaces surfaces, RecipeService recipes, Jobs jobs, RecipeJson json) {
    this.shoots = shoots;
    this.surfaces = surfaces;
    this.recipes = recipes;
    this.jobs = jobs;
    this.json = json;
  }

  /**
   * A surface in one view.
   *
   * @param apart CIEDE2000 difference from what it has in common over the views
   */
  record Cell(@NotNull UUID view, @NotNull Lab lab, double apart) {}

  /**
   * A surface over the set.
   *
   * @param common its colour that the views have in common; not there where one alone shows it
   */
  record SurfaceRow(@NotNull String name, @NotNull List<Cell> cells, Lab common) {}

  /**
   * A view.
   *
   * @param read whether its surfaces were read as it is now
   * @param levelled whether a pass levels it
   */
  record Column(@NotNull UUID view, @NotNull String name, boolean read, boolean levelled) {}

  record SurfaceTable(@NotNull List<Column> views, @NotNull List<SurfaceRow> surfaces) {}

  /**
   * What is to be done.
   *
   * @param find whether white walls are looked for first
   * @param level whether the views are levelled, or their surfaces only read
   * @param reference id of the view that stays as it is; empty for none
   */
  record LevelWish(boolean find, boolean level, @NotNull String reference) {}

  @GetMapping
  SurfaceTable table(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    List<View> views = shoots.linedUp(shoot);
    List<Optional<Map<String, Lab>>> known = views.stream().map(surfaces::known).toList();
    List<Map<String, Lab>> colours = known.stream().map(k -> k.orElse(Map.of())).toList();
    Map<String, Lab> common = LevelSet.common(colours, -1);
    Set<String> names = new LinkedHashSet<>(common.keySet());
    colours.forEach(c -> names.addAll(c.keySet()));
    List<Column> columns = new ArrayList<>();
    for (int k = 0; k < views.size(); k++) {
      View view = views.get(k);
      boolean levelled =
          recipes.state(view).recipe().passes().stream()
              .anyMatch(p -> p.on() && p.id().equals(LevelSet.PASS));
      columns.add(new Column(view.id(), view.name(), known.get(k).isPresent(), levelled));
    }
    return new SurfaceTable(
        columns, names.stream().map(n -> row(n, views, colours, common.get(n))).toList());
  }

  private static SurfaceRow row(
      String name, List<View> views, List<Map<String, Lab>> colours, Lab common) {
    List<Cell> cells = new ArrayList<>();
    for (int k = 0; k < views.size(); k++) {
      Lab lab = colours.get(k).get(name);
      if (lab != null) {
        double apart = common == null ? 0 : lab.difference(common);
        cells.add(new Cell(views.get(k).id(), lab, apart));
      }
    }
    return new SurfaceRow(name, cells, common);
  }

  @PostMapping
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told wish(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody LevelWish wish) {
    shoots.owned(member.studio(), shoot);
    boolean known =
        shoots.views(shoot).stream().anyMatch(v -> v.id().toString().equals(wish.reference()));
    if (!wish.reference().isEmpty() && !known) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "The reference is no view of this shoot.");
    }
    String subject = json.write(new LevelWork.Subject(wish.find(), wish.level(), wish.reference()));
    return jobs.told(jobs.start(new Job(member.studio(), shoot, LevelWork.KIND, subject)));
  }
}
