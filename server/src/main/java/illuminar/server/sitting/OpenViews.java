package illuminar.server.sitting;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Views whose frames are in memory, the most recently used few. */
@Component
public class OpenViews {
  private static final int MOST = 2;
  private static final long CACHE = 600_000_000L;

  private final FrameRows frames;
  private final FrameLoader loader;
  private final RecipeJson json;
  private final Map<UUID, CompletableFuture<PreviewSession>> open =
      new LinkedHashMap<>(8, 0.75f, true);

  OpenViews(FrameRows frames, FrameLoader loader, RecipeJson json) {
    this.frames = frames;
    this.loader = loader;
    this.json = json;
  }

  /** The session of a lined-up view; reads the frames where they are not in memory yet. */
  public PreviewSession session(View view) {
    if (view.state() == View.State.NEW) {
      throw new Problem(HttpStatus.CONFLICT, view.name() + " is not lined up yet.");
    }
    CompletableFuture<PreviewSession> mine = new CompletableFuture<>();
    CompletableFuture<PreviewSession> there;
    synchronized (open) {
      there = open.putIfAbsent(view.id(), mine);
      trim();
    }
    if (there == null) {
      there = mine;
      try {
        mine.complete(new PreviewSession(read(view), new RenderCache(CACHE)));
      } catch (RuntimeException e) {
        synchronized (open) {
          open.remove(view.id());
        }
        mine.completeExceptionally(e);
      }
    }
    try {
      return there.join();
    } catch (CompletionException e) {
      throw e.getCause() instanceof RuntimeException r ? r : e;
    }
  }

  /** Keeps a view open that has just been lined up, so that its bench opens at once. */
  public void keep(UUID view, Analysis analysis) {
    CompletableFuture<PreviewSession> session =
        CompletableFuture.completedFuture(new PreviewSession(analysis, new RenderCache(CACHE)));
    synchronized (open) {
      open.put(view, session);
      trim();
    }
  }

  private void trim() {
    while (open.size() > MOST) {
      open.remove(open.keySet().iterator().next());
    }
  }

  /** A view's frames for a delivery; not kept open for it. */
  public Analysis analysis(View view) {
    synchronized (open) {
      CompletableFuture<PreviewSession> there = open.get(view.id());
      if (there != null && there.isDone() && !there.isCompletedExceptionally()) {
        return there.join().analysis();
      }
    }
    return read(view);
  }

  private Analysis read(View view) {
    List<FrameRow> rows = frames.findByViewIdOrderByPosition(view.id());
    List<Pyramid> pyramids = loader.pyramids(rows);
    List<Frame> list = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      FrameRow r = rows.get(i);
      list.add(new Frame(r.id().toString(), r.role(), r.stops(), r.toFrame(), pyramids.get(i)));
    }
    boolean linear =
        list.stream().allMatch(f -> f.pixels().full().map(c -> c.linear()).orElse(false));
    Response response =
        linear ? Response.standard() : Response.of(json.read(view.response(), float[][].class));
    return new Analysis(new Frames(list, view.anchorId().toString(), response));
  }
}
