package illuminar.server.sitting;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.geometry.Laid;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.core.shelf.Shelf;
import illuminar.server.Settings;
import illuminar.server.kept.KeptFindings;
import illuminar.server.reading.Wanted;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Views that were lately in use. All together they are bounded in bytes: those not used for longest
 * let go first of what can be read or worked out again, and are closed if that is not enough.
 */
@Component
public class OpenViews {
  /** Bytes of pictures that are kept of one view at most. */
  private static final long CACHE = 400_000_000L;

  /** Views that can keep as many pictures as they may at a time, at least. */
  private static final int CACHES = 6;

  /** Bytes of a pixel of a frame at full size, with the frame at half its size. */
  private static final long FULL_8 = 5;

  private static final long FULL_16 = 8;

  /** Bytes that a pixel of a frame takes while a view is lined up and its first version made. */
  private static final long WORKED_ON = 9;

  private final FrameRows frames;
  private final FrameLoader loader;
  private final KeptFindings findings;
  private final RecipeJson json;
  private final long most;
  private final Map<Key, CompletableFuture<PreviewSession>> open =
      new LinkedHashMap<>(8, 0.75f, true);

  /** Views that are worked on at full size now. */
  private final List<Key> worked = new ArrayList<>();

  /** Shares the bytes that open views may fill. */
  private final Turns memory;

  /** A view as it was lined up. */
  private record Key(UUID view, int lineUp) {
    static Key of(View view) {
      return new Key(view.id(), view.lineUp());
    }
  }

  OpenViews(
      FrameRows frames,
      FrameLoader loader,
      KeptFindings findings,
      RecipeJson json,
      Settings settings) {
    this.frames = frames;
    this.loader = loader;
    this.findings = findings;
    this.json = json;
    most = (long) (settings.open() * Runtime.getRuntime().maxMemory());
    memory = new Turns(most);
  }

  private RenderCache cache() {
    return new RenderCache(Math.min(CACHE, most / CACHES));
  }

  /** The session of a lined-up view; opens it where it is not open. */
  public PreviewSession session(View view) {
    if (view.state() == View.State.NEW) {
      throw new Problem(HttpStatus.CONFLICT, view.name() + " is not lined up yet.");
    }
    CompletableFuture<PreviewSession> mine = new CompletableFuture<>();
    CompletableFuture<PreviewSession> there;
    synchronized (open) {
      there = open.putIfAbsent(Key.of(view), mine);
    }
    if (there == null) {
      there = mine;
      try {
        mine.complete(Wanted.forAll(() -> new PreviewSession(read(view), cache())));
      } catch (RuntimeException | Error e) {
        synchronized (open) {
          open.remove(Key.of(view));
        }
        mine.completeExceptionally(e);
      }
    }
    makeRoom();
    try {
      return there.join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof Error error) {
        throw error;
      }
      throw e.getCause() instanceof RuntimeException r ? r : e;
    }
  }

  /**
   * Works on a view in a way that may need its frames at full size: in turn, and on no more views
   * at a time than the memory holds.
   */
  public <T> T work(View view, Function<PreviewSession, T> work) {
    return work(view, session(view), work);
  }

  /** A part of the finished picture of a view, as a recipe makes it and lays it. */
  public Picture finished(View view, Recipe recipe, Laid laid, Raster raster) {
    return work(view, s -> s.finished(recipe, laid, raster, "", () -> true));
  }

  /** The same as small as on a card. */
  public Picture card(View view, Recipe recipe, Laid laid, Raster raster) {
    return hurry(view, raster.scale(), s -> s.card(recipe, laid, raster));
  }

  private <T> T work(View view, PreviewSession session, Function<PreviewSession, T> work) {
    long need = full(session.analysis().frames());
    return memory.take(
        need,
        Wanted.here(),
        () -> {
          synchronized (open) {
            worked.add(Key.of(view));
          }
          try {
            makeRoom(0, most - Math.max(0, need - session.bytes()));
            return work.apply(session);
          } finally {
            synchronized (open) {
              worked.remove(Key.of(view));
            }
          }
        });
  }

  /**
   * Works on a view in a hurry: at once where what its frames are drawn from is here, else in turn,
   * since what is not here is read.
   *
   * @param scale at which it is worked on
   */
  public <T> T hurry(View view, double scale, Function<PreviewSession, T> work) {
    PreviewSession session = session(view);
    return session.analysis().frames().here(scale)
        ? work.apply(session)
        : work(view, session, work);
  }

  private static long full(Frames frames) {
    return frames.all().stream()
        .mapToLong(
            f ->
                (long) f.pixels().width()
                    * f.pixels().height()
                    * (f.pixels().linear() || f.pixels().wide() ? FULL_16 : FULL_8))
        .sum();
  }

  /**
   * A session for frames that have just been lined up; what is found in it lies where it is looked
   * for when the view is opened.
   *
   * @param rows as they were placed
   */
  public PreviewSession begun(View view, List<FrameRow> rows, Frames lined) {
    return new PreviewSession(new Analysis(lined, shelf(view, rows, lined.response())), cache());
  }

  /** Keeps a view open that has just been lined up, so that its bench opens at once. */
  public void keep(View view, PreviewSession session) {
    synchronized (open) {
      open.put(Key.of(view), CompletableFuture.completedFuture(session));
    }
    makeRoom();
  }

  /** Lets views go until the others fit; the one that is in use now stays whatever it needs. */
  private void makeRoom() {
    makeRoom(1, most);
  }

  /**
   * Works on frames of a view that is not open; others are let go before, as far as that is needed.
   *
   * @param rows of the frames
   */
  public <T> T withRoomFor(List<FrameRow> rows, Supplier<T> work) {
    long pixels = rows.stream().mapToLong(r -> (long) r.width() * r.height()).sum();
    return memory.take(
        pixels * WORKED_ON,
        Wanted.here(),
        () -> {
          makeRoom(0, most - pixels * WORKED_ON);
          return work.get();
        });
  }

  /**
   * @param stay how many of those used last stay whatever they need; those worked on stay too
   */
  private void makeRoom(int stay, long most) {
    Map<Key, PreviewSession> sessions = new LinkedHashMap<>();
    List<Key> order;
    synchronized (open) {
      for (var e : open.entrySet()) {
        CompletableFuture<PreviewSession> f = e.getValue();
        if (f.isDone() && !f.isCompletedExceptionally()) {
          sessions.put(e.getKey(), f.join());
        }
      }
      order = new ArrayList<>(sessions.keySet());
      order.removeAll(worked);
    }
    long sum = sessions.values().stream().mapToLong(PreviewSession::bytes).sum();
    for (PreviewSession.Part part : PreviewSession.Part.values()) {
      for (int i = 0; i < order.size() - stay && sum > most; i++) {
        PreviewSession session = sessions.get(order.get(i));
        long before = session.bytes();
        session.letGo(part);
        sum -= before - session.bytes();
      }
    }
    for (int i = 0; i < order.size() - stay && sum > most; i++) {
      sum -= sessions.get(order.get(i)).bytes();
      synchronized (open) {
        open.remove(order.get(i));
      }
    }
  }

  /** A view's frames for a delivery; not kept open for it. */
  public Analysis analysis(View view) {
    synchronized (open) {
      CompletableFuture<PreviewSession> there = open.get(Key.of(view));
      if (there != null && there.isDone() && !there.isCompletedExceptionally()) {
        return there.join().analysis();
      }
    }
    return read(view);
  }

  private Analysis read(View view) {
    List<FrameRow> rows = frames.findByViewIdAndBinnedIsNullOrderByPosition(view.id());
    List<Pyramid> pyramids = loader.pyramids(rows);
    List<Frame> list = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      FrameRow r = rows.get(i);
      list.add(new Frame(r.id().toString(), r.role(), r.stops(), r.toFrame(), pyramids.get(i)));
    }
    boolean linear = list.stream().allMatch(f -> f.pixels().linear());
    Response response =
        linear ? Response.standard() : Response.of(json.read(view.response(), float[][].class));
    return new Analysis(
        new Frames(list, view.anchorId().toString(), response), shelf(view, rows, response));
  }

  /** Where what is found in a view's frames lies, by all that it depends on. */
  private Shelf shelf(View view, List<FrameRow> rows, Response response) {
    List<String> words = new ArrayList<>();
    words.add(view.anchorId() + " " + Arrays.deepToString(response.table256()));
    for (FrameRow r : rows) {
      words.add(r.id() + " " + r.sha256() + " " + r.role() + " " + r.stops() + " " + r.toFrame());
    }
    return findings.of(words);
  }
}
