package illuminar.core.analysis;

import illuminar.core.colour.Stops;
import illuminar.core.frame.FrameRows;
import illuminar.core.frame.Frames;
import illuminar.core.ground.EvenBlendWork;
import illuminar.core.ground.Ground;
import illuminar.core.ground.GroundWork;
import illuminar.core.ground.RadianceMergeWork;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/**
 * Everything about a view that needs to see far and depends on the frames alone, computed once on a
 * grid of at most {@value #LONG_EDGE} pixels and kept. Safe for many threads.
 */
public final class Analysis {
  public static final int LONG_EDGE = 1536;

  /** Long edge of the grid on which passes look at the picture below them. */
  public static final int SMALL_EDGE = 144;

  private static final int MOST_REFLECTIONS = 12;

  private final Frames frames;
  private final int fullWidth;
  private final int fullHeight;
  private final Raster raster;
  private final Raster small;
  private final Map<String, Picture> drawn = new ConcurrentHashMap<>();
  private final Map<Ground, GroundWork> grounds = new ConcurrentHashMap<>();
  private final Map<String, Picture> smallDrawn = new ConcurrentHashMap<>();
  private final Map<String, Plane> lightStops = new ConcurrentHashMap<>();
  private final Map<List<Object>, Casts> casts = new ConcurrentHashMap<>();
  private final Map<String, Burning> burning = new ConcurrentHashMap<>();
  private final Map<Reflections.Asked, Reflections> reflections = new ConcurrentHashMap<>();
  private volatile Panes panes;
  private volatile Movement movement;

  public Analysis(Frames frames) {
    this.frames = frames;
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
      return drawn.computeIfAbsent(frame, id -> drawNow(id, at));
    }
    return at.equals(small)
        ? smallDrawn.computeIfAbsent(frame, id -> drawNow(id, at))
        : drawNow(frame, at);
  }

  /** Tones of a frame's light on the small grid, in stops; kept, do not modify. */
  public Plane lightStops(String frame) {
    return lightStops.computeIfAbsent(
        frame,
        id -> {
          Picture p = draw(id, small);
          Plane stops = Plane.of(p.width(), p.height());
          for (int i = 0; i < stops.data().length; i++) {
            stops.data()[i] = Stops.of(frames.response().luminance(p.r()[i], p.g()[i], p.b()[i]));
          }
          return stops;
        });
  }

  private Picture drawNow(String frame, Raster at) {
    return frames.get(frame).draw(at, fullWidth(), fullHeight());
  }

  /** A reader of one frame's rows at a raster, for one thread. */
  public FrameRows rows(String frame, Raster at) {
    return frames.get(frame).rows(at, fullWidth(), fullHeight());
  }

  /** An even blend made ready; kept. */
  public EvenBlendWork blend(Ground.EvenBlend blend) {
    return (EvenBlendWork) work(blend, () -> new EvenBlendWork(blend, this));
  }

  /** A ground of several frames made ready; kept. */
  public GroundWork ground(Ground ground) {
    if (ground instanceof Ground.EvenBlend blend) {
      return blend(blend);
    }
    Ground.RadianceMerge merge = (Ground.RadianceMerge) ground;
    return work(merge, () -> new RadianceMergeWork(merge, this));
  }

  private GroundWork work(Ground ground, Supplier<GroundWork> make) {
    GroundWork work = grounds.get(ground);
    if (work == null) {
      if (grounds.size() > 3) {
        grounds.clear();
      }
      work = make.get();
      grounds.put(ground, work);
    }
    return work;
  }

  /**
   * The casts of the anchor frame; kept.
   *
   * @throws IllegalArgumentException if they cannot be told so
   */
  public Casts casts(Casts.Source source, String reference) {
    return casts.computeIfAbsent(
        List.of(source, reference), key -> Casts.of(this, source, reference));
  }

  /**
   * A frame's light that burns at the anchor's exposure; kept.
   *
   * @throws IllegalArgumentException if the frame is not there
   */
  public Burning burning(String frame) {
    return burning.computeIfAbsent(frame, id -> Burning.of(this, id));
  }

  /**
   * What glass mirrors of the room in a frame; kept.
   *
   * @param glass where it is, on the small grid; not modified
   * @throws IllegalArgumentException if the frame is not there
   */
  public Reflections reflections(String frame, float[] glass) {
    if (reflections.size() > MOST_REFLECTIONS) {
      reflections.clear();
    }
    return reflections.computeIfAbsent(
        new Reflections.Asked(frame, glass.clone()), a -> Reflections.of(this, a));
  }

  /** The window panes found in the frames. */
  public Panes panes() {
    Panes found = panes;
    if (found == null) {
      synchronized (this) {
        found = panes;
        if (found == null) {
          found = PaneFinder.find(this);
          panes = found;
        }
      }
    }
    return found;
  }

  /** Where the frames show different things. */
  public Movement movement() {
    Movement found = movement;
    if (found == null) {
      synchronized (this) {
        found = movement;
        if (found == null) {
          found = Movement.of(this);
          movement = found;
        }
      }
    }
    return found;
  }
}
