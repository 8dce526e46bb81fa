package illuminar.server.level;

import illuminar.core.colour.Lab;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.render.PreviewSession;
import illuminar.core.set.WhiteWalls;
import illuminar.server.balance.BalanceBoard;
import illuminar.server.balance.Boards;
import illuminar.server.balance.Probe;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.OpenViews;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Named surfaces of views: their probes on the boards, and their colours. */
@Component
public class Surfaces {
  /** Name of the surface that is proposed in every room. */
  static final String WALLS = "White walls";

  private static final Look SEEN = new Look(Look.From.BELOW, "");

  private final Boards boards;
  private final OpenViews open;
  private final RecipeService recipes;
  private final SurfaceColoursRows rows;
  private final RecipeJson json;

  Surfaces(
      Boards boards,
      OpenViews open,
      RecipeService recipes,
      SurfaceColoursRows rows,
      RecipeJson json) {
    this.boards = boards;
    this.open = open;
    this.recipes = recipes;
    this.rows = rows;
    this.json = json;
  }

  /** Colours as they are kept, by the surfaces' names. */
  private record Named(Map<String, Lab> colours) {}

  /** Whether anything of a view is named. */
  boolean any(View view) {
    return boards.of(view.id()).probes().stream().anyMatch(p -> !p.surface().isEmpty());
  }

  /** The colours of a view's surfaces, where they were read as the view is now. */
  public Optional<Map<String, Lab>> known(View view) {
    if (!any(view)) {
      return Optional.of(Map.of());
    }
    String board = json.write(boards.of(view.id()));
    return rows.findById(view.id())
        .filter(r -> r.of(view, board))
        .map(r -> json.read(r.colours(), Named.class).colours());
  }

  /** Reads the colours of a view's surfaces as it is, and keeps them. */
  void read(View view) {
    if (known(view).isEmpty()) {
      Map<String, Lab> found = read(view, recipes.state(view).recipe());
      String board = json.write(boards.of(view.id()));
      rows.save(new SurfaceColours(view, board, json.write(new Named(found))));
    }
  }

  /**
   * The mean colour of each surface of a view under a recipe; probes on burnt light do not count.
   */
  Map<String, Lab> read(View view, Recipe recipe) {
    PreviewSession session = open.session(view);
    Map<String, List<Lab>> all = new LinkedHashMap<>();
    for (Probe p : boards.of(view.id()).probes()) {
      if (!p.surface().isEmpty()) {
        Lab lab = session.colour(recipe, SEEN, p.x(), p.y(), p.radius()).lab();
        all.computeIfAbsent(p.surface(), n -> new ArrayList<>()).add(lab);
      }
    }
    Map<String, Lab> out = new LinkedHashMap<>();
    all.forEach((name, labs) -> out.put(name, Lab.mean(labs)));
    return out;
  }

  /**
   * Pins probes on a room's white walls, where none are named so yet.
   *
   * @return how many
   */
  int findWalls(View view) {
    BalanceBoard board = boards.of(view.id());
    if (board.probes().stream().anyMatch(p -> p.surface().equals(WALLS))) {
      return 0;
    }
    List<Probe> probes = new ArrayList<>(board.probes());
    for (WhiteWalls.Place p : WhiteWalls.in(open.session(view), recipes.state(view).recipe())) {
      if (probes.size() < BalanceBoard.MOST_PROBES) {
        String id = UUID.randomUUID().toString();
        probes.add(new Probe(id, p.x(), p.y(), p.radius(), WALLS));
      }
    }
    boards.keep(view.id(), new BalanceBoard(probes, board.reference()));
    return probes.size() - board.probes().size();
  }
}
