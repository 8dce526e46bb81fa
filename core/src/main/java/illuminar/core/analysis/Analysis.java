package illuminar.core.analysis;

import illuminar.core.colour.Stops;
import illuminar.core.frame.Frame;
import illuminar.core.frame.FrameRows;
import illuminar.core.frame.Frames;
import illuminar.core.picture.Once;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.shelf.Shelf;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A view's frames on grids small enough to see far, and a place where estimators keep what they
 * found, so that everything that depends on the frames alone is computed once. An estimator is one
 * class in a package below this one; none of them is known here. Safe for many threads.
 */
public final class Analysis {
  /** Long edge of the analysis grid, in pixels at most. */
  public static final int LONG_EDGE = 1536;

  /** Long edge of the grid on which passes look at the picture below them. */
  public static final int SMALL_EDGE = 144;

  private final Frames frames;
  private final Set<String> ids;
  private final int fullWidth;
  private final int fullHeight;
  private final Raster raster;
  private final Raster small;
  private final Map<String, Once<Picture>> drawn = new ConcurrentHashMap<>();
  private final Map<String, Once<Picture>> smallDrawn = new ConcurrentHashMap<>();
  private final Map<String, Once<Plane>> lightStops = new ConcurrentHashMap<>();
  private final Kept kept = new Kept();
  private final Shelf shelf;

  public Analysis(Frames frames) {
    this(frames, Shelf.NONE);
  }

  /**
   * @param shelf where lasting results of these frames lie
   */
  public Analysis(Frames frames, Shelf shelf) {
    this.frames = frames;
    this.shelf = shelf;
    ids = frames.all().stream().map(Frame::id).collect(Collectors.toUnmodifiableSet());
    fullWidth = frames.width();
    fullHeight = frames.height();
    raster = Raster.fitted(fullWidth, fullHeight, LONG_EDGE);
    small = Raster.fitted(fullWidth, fullHeight, SMALL_EDGE);
  }

  public Frames frames() {
    return frames;
  }

  public int fullWidth() {
    return fullWidth;
  }

  public int fullHeight() {
    return fullHeight;
  }

  /** The analysis grid: the whole view. */
  public Raster raster() {
    return raster;
  }

  /** The small grid: the whole view. */
  public Raster small() {
    return small;
  }

  /** A frame at a raster, kept where the raster is one of the two grids; do not modify. */
  public Picture draw(String frame, Raster at) {
    if (at.equals(raster)) {
      if (!drawn.containsKey(frame)) {
        // what is asked of one frame on this grid is mostly asked of all
        frames.ready(ids, at.scale());
      }
      return drawn.computeIfAbsent(frame, id -> new Once<>(() -> drawNow(id, at))).get();
    }
    return at.equals(small)
        ? smallDrawn.computeIfAbsent(frame, id -> new Once<>(() -> drawNow(id, at))).get()
        : drawNow(frame, at);
  }

  /** Tones of a frame's light on the small grid, in stops; kept, do not modify. */
  public Plane lightStops(String frame) {
    return lightStops.computeIfAbsent(frame, id -> new Once<>(() -> stops(id))).get();
  }

  private Plane stops(String frame) {
    Picture p = draw(frame, small);
    Plane stops = Plane.of(p.width(), p.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] = Stops.of(frames.response().luminance(p.r()[i], p.g()[i], p.b()[i]));
    }
    return stops;
  }

  private Picture drawNow(String frame, Raster at) {
    return frames.get(frame).draw(at, fullWidth(), fullHeight());
  }

  /** A reader of one frame's rows at a raster, for one thread. */
  public FrameRows rows(String frame, Raster at) {
    return frames.get(frame).rows(at, fullWidth(), fullHeight());
  }

  /**
   * What an estimator found, computed at the first call and kept. One that fails keeps nothing.
   *
   * @param type of the result; results of one type are kept together
   * @param question what the result depends on beside the frames, with value equality
   * @param most results of the type that are kept; the least recently asked for go first
   */
  public <T> T keep(Class<T> type, Object question, int most, Supplier<T> find) {
    return kept.get(type, question, most, find);
  }

  /**
   * The same for a result that is worth keeping beyond this run of the program: it is taken from
   * the shelf where it lies there, and put there else.
   */
  public <T extends Record> T keepLong(Class<T> type, Object question, int most, Supplier<T> find) {
    return kept.get(type, question, most, () -> shelf.get(type, question, find));
  }

  /** Where lasting results of these frames lie. */
  public Shelf shelf() {
    return shelf;
  }

  /** Bytes of what was drawn and found. */
  public long bytes() {
    return kept.bytes()
        + Stream.of(drawn, smallDrawn)
            .flatMap(m -> m.values().stream())
            .flatMap(once -> once.there().stream())
            .mapToLong(p -> 12L * p.width() * p.height())
            .sum();
  }

  /** Lets go of what was drawn, which is quickly drawn again. */
  public void letGoDrawn() {
    drawn.clear();
  }

  /** Lets go of all that can be drawn, found and read again. */
  public void letGo() {
    letGoDrawn();
    smallDrawn.clear();
    kept.clear();
    frames.letGo();
  }
}
