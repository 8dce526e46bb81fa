package illuminar.server.view;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.render.RenderCache;
import illuminar.core.render.Renderer;
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
  private final Map<UUID, CompletableFuture<Renderer>> open = new LinkedHashMap<>(8, 0.75f, true);

  OpenViews(FrameRows frames, FrameLoader loader, RecipeJson json) {
    this.frames = frames;
    this.loader = loader;
    this.json = json;
  }

  /** The renderer of a lined-up view; reads the frames where they are not in memory yet. */
  public Renderer renderer(View view) {
    if (view.state() == View.State.NEW) {
      throw new Problem(HttpStatus.CONFLICT, view.name() + " is not lined up yet.");
    }
    CompletableFuture<Renderer> mine = new CompletableFuture<>();
    CompletableFuture<Renderer> there;
    synchronized (open) {
      there = open.putIfAbsent(view.id(), mine);
      trim();
    }
    if (there == null) {
      there = mine;
      try {
        mine.complete(load(view, CACHE));
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
  void keep(UUID view, Analysis analysis) {
    CompletableFuture<Renderer> renderer =
        CompletableFuture.completedFuture(new Renderer(analysis, new RenderCache(CACHE)));
    synchronized (open) {
      open.put(view, renderer);
      trim();
    }
  }

  private void trim() {
    while (open.size() > MOST) {
      open.remove(open.keySet().iterator().next());
    }
  }

  /** A renderer of its own for a delivery, not kept. */
  public Renderer once(View view) {
    synchronized (open) {
      CompletableFuture<Renderer> there = open.get(view.id());
      if (there != null && there.isDone() && !there.isCompletedExceptionally()) {
        return there.join();
      }
    }
    return load(view, 50_000_000L);
  }

  private Renderer load(View view, long cache) {
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
    return new Renderer(
        new Analysis(new Frames(list, view.anchorId().toString(), response)),
        new RenderCache(cache));
  }
}
