package illuminar.server.lineup;

import illuminar.core.first.FirstVersion;
import illuminar.core.frame.Pyramid;
import illuminar.core.lineup.LineUp;
import illuminar.core.lineup.LinedUp;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.server.cover.Covers;
import illuminar.server.house.HouseStyles;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.sitting.FrameLoader;
import illuminar.server.sitting.OpenViews;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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

  private final Views views;
  private final FrameRows frames;
  private final FrameLoader loader;
  private final OpenViews open;
  private final RecipeService recipes;
  private final HouseStyles styles;
  private final RecipeJson json;
  private final Covers covers;
  private final TransactionTemplate transaction;

  LineUpWork(
      Views views,
      FrameRows frames,
      FrameLoader loader,
      OpenViews open,
      RecipeService recipes,
      HouseStyles styles,
      RecipeJson json,
      Covers covers,
      TransactionTemplate transaction) {
    this.views = views;
    this.frames = frames;
    this.loader = loader;
    this.open = open;
    this.recipes = recipes;
    this.styles = styles;
    this.json = json;
    this.covers = covers;
    this.transaction = transaction;
  }

  /** Lines up one view; does nothing new where it runs again. */
  public void lineUp(UUID viewId, Steps steps) {
    Optional<PreviewSession> session = Optional.empty();
    // once more, where somebody arranges the frames meanwhile
    while (session.isEmpty()) {
      View view = views.findById(viewId).orElseThrow();
      List<FrameRow> rows = frames.findByViewIdAndBinnedIsNullOrderByPosition(viewId);
      session = open.withRoomFor(rows, () -> linedUp(view, rows, steps));
    }
    View ready = views.findById(viewId).orElseThrow();
    open.keep(ready, session.get());
    covers.refresh(ready, recipes.state(ready));
  }

  /** Lines up these frames and keeps what was found; nothing, if the view has others by then. */
  private Optional<PreviewSession> linedUp(View view, List<FrameRow> rows, Steps steps) {
    int total = rows.size() + 2;
    steps.at(0, total, view.name() + ": reading " + rows.size() + " frames");
    LinedUp lined = placed(view, rows, steps, total);
    boolean first = view.currentRevision() == 0;
    String making = first ? ": making a first version" : ": making its picture";
    steps.at(total - 1, total, view.name() + making);
    PreviewSession session = open.begun(view, rows, lined.frames());
    Optional<Recipe> recipe =
        first ? Optional.of(FirstVersion.of(session, wide(view, rows))) : Optional.empty();
    String table = json.write(lined.frames().response().table256());
    return transaction.execute(
        s -> {
          View fresh = views.hold(view.id()).orElseThrow();
          if (!lately(fresh, view, rows)) {
            return Optional.empty();
          }
          frames.saveAllAndFlush(rows);
          fresh.linedUp(table);
          views.saveAndFlush(fresh);
          recipe.ifPresent(
              r -> {
                recipes.begin(view.id(), r);
                styles.dress(fresh);
              });
          return Optional.of(session);
        });
  }

  private static OptionalDouble wide(View view, List<FrameRow> rows) {
    return rows.stream()
        .filter(r -> r.id().equals(view.anchorId()))
        .map(r -> r.optics().wide())
        .findFirst()
        .orElse(OptionalDouble.empty());
  }

  /** Finds how the frames lie; {@code rows} are told. */
  private LinedUp placed(View view, List<FrameRow> rows, Steps steps, int total) {
    List<Pyramid> pyramids = loader.whole(rows);
    int anchor = 0;
    List<LinedUp.Taken> taken = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      FrameRow r = rows.get(i);
      anchor = r.id().equals(view.anchorId()) ? i : anchor;
      taken.add(
          new LinedUp.Taken(
              r.id().toString(), r.role(), r.stops(), r.stopsKnown(), pyramids.get(i)));
    }
    LinedUp lined =
        LinedUp.of(
            taken,
            anchor,
            n -> steps.at(n, total, view.name() + ": lining up frame " + n + " of " + rows.size()));
    for (int i = 0; i < rows.size(); i++) {
      LineUp.Placed p = lined.placed().get(i);
      rows.get(i).placed(p.toFrame(), p.spread(), p.sure());
      rows.get(i).estimated(lined.frames().all().get(i).stops());
    }
    return lined;
  }

  /** Whether a view's frames are still those that were lined up. */
  private boolean lately(View now, View then, List<FrameRow> rows) {
    List<FrameRow> fresh = frames.findByViewIdAndBinnedIsNullOrderByPosition(now.id());
    boolean same = now.anchorId().equals(then.anchorId()) && fresh.size() == rows.size();
    for (int i = 0; same && i < rows.size(); i++) {
      same =
          fresh.get(i).id().equals(rows.get(i).id()) && fresh.get(i).role() == rows.get(i).role();
    }
    return same;
  }
}
