package illuminar.server.view;

import illuminar.core.analysis.Analysis;
import illuminar.core.first.FirstVersion;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.lineup.LineUp;
import illuminar.core.lineup.ResponseEstimate;
import illuminar.core.render.RenderCache;
import illuminar.core.render.Renderer;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Lines a view's frames up, finds the camera's response, and makes the first recipe. */
@Component
public class LineUpWork {

  /** Hears how far the line-up is: steps done, of how many, and what is being done. */
  public interface Steps {
    void at(int done, int total, String doing);
  }

  /** Bytes kept while the first version is worked out. */
  private static final long FIRST_CACHE = 100_000_000;

  private final Views views;
  private final FrameRows frames;
  private final FrameLoader loader;
  private final OpenViews open;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final Covers covers;
  private final TransactionTemplate transaction;

  LineUpWork(
      Views views,
      FrameRows frames,
      FrameLoader loader,
      OpenViews open,
      RecipeService recipes,
      RecipeJson json,
      Covers covers,
      TransactionTemplate transaction) {
    this.views = views;
    this.frames = frames;
    this.loader = loader;
    this.open = open;
    this.recipes = recipes;
    this.json = json;
    this.covers = covers;
    this.transaction = transaction;
  }

  /** Lines up one view; does nothing new where it runs again. */
  public void lineUp(UUID viewId, Steps steps) {
    View view = views.findById(viewId).orElseThrow();
    List<FrameRow> rows = frames.findByViewIdOrderByPosition(viewId);
    int total = rows.size() + 2;
    steps.at(0, total, view.name() + ": reading " + rows.size() + " frames");
    List<Pyramid> pyramids = loader.pyramids(rows);
    int anchor = 0;
    for (int i = 0; i < rows.size(); i++) {
      anchor = rows.get(i).id().equals(view.anchorId()) ? i : anchor;
    }
    List<LineUp.Placed> placed =
        LineUp.find(
            pyramids,
            anchor,
            n -> steps.at(n, total, view.name() + ": lining up frame " + n + " of " + rows.size()));
    List<Frame> lined = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      FrameRow r = rows.get(i);
      LineUp.Placed p = placed.get(i);
      r.placed(p.toFrame(), p.spread(), p.sure());
      lined.add(new Frame(r.id().toString(), r.role(), r.stops(), p.toFrame(), pyramids.get(i)));
    }
    steps.at(total - 1, total, view.name() + ": making a first version");
    Response response = response(lined, rows, view);
    Analysis analysis = new Analysis(new Frames(lined, view.anchorId().toString(), response));
    var recipe = FirstVersion.of(new Renderer(analysis, new RenderCache(FIRST_CACHE)));
    String table = json.write(response.table256());
    transaction.executeWithoutResult(
        s -> {
          frames.saveAllAndFlush(rows);
          View fresh = views.findById(viewId).orElseThrow();
          fresh.linedUp(table);
          views.saveAndFlush(fresh);
          recipes.begin(viewId, recipe);
        });
    open.keep(viewId, analysis);
    View ready = views.findById(viewId).orElseThrow();
    covers.refresh(ready, recipes.state(ready));
  }

  private static Response response(List<Frame> lined, List<FrameRow> rows, View view) {
    boolean linear =
        lined.stream().allMatch(f -> f.pixels().full().map(c -> c.linear()).orElse(false));
    if (linear) {
      return Response.standard();
    }
    List<Frame> bracket = new ArrayList<>();
    for (int i = 0; i < lined.size(); i++) {
      // the light must be the same in all of them
      boolean sameLight = lined.get(i).role() == Role.AMBIENT || lined.get(i).role() == Role.WINDOW;
      if (sameLight && rows.get(i).stopsKnown() && rows.get(i).sure()) {
        bracket.add(lined.get(i));
      }
    }
    double lo = bracket.stream().mapToDouble(Frame::stops).min().orElse(0);
    double hi = bracket.stream().mapToDouble(Frame::stops).max().orElse(0);
    return bracket.size() < 2 || hi - lo < 0.9
        ? Response.srgb()
        : ResponseEstimate.of(bracket, view.width(), view.height());
  }
}
