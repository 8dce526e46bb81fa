package illuminar.core.frame;

import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * All frames of a view, lined up to the anchor, with the response that they share.
 *
 * @param anchor id of the frame that gives geometry
 */
public record Frames(List<Frame> all, String anchor, Response response) {

  public Frames {
    all = List.copyOf(all);
    if (all.stream().noneMatch(f -> f.id().equals(anchor))) {
      throw new IllegalArgumentException("anchor " + anchor + " is not among the frames");
    }
  }

  public Frame anchorFrame() {
    return find(anchor).orElseThrow();
  }

  public Optional<Frame> find(String id) {
    return all.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /**
   * One of the frames.
   *
   * @throws IllegalArgumentException if it is not there
   */
  public Frame get(String id) {
    return find(id).orElseThrow(() -> new IllegalArgumentException("the view has no frame " + id));
  }

  /** The frames that take part in blending, darkest first. */
  public List<Frame> ambient() {
    return all.stream()
        .filter(f -> f.role() == Role.AMBIENT)
        .sorted(java.util.Comparator.comparingDouble(Frame::stops))
        .toList();
  }

  /** The frame exposed for outside: the one so marked, else the darkest ambient frame. */
  public Frame windowFrame() {
    return all.stream()
        .filter(f -> f.role() == Role.WINDOW)
        .findFirst()
        .orElseGet(() -> ambient().stream().findFirst().orElseGet(this::anchorFrame));
  }

  /**
   * Reads what some of the frames are drawn from at a scale, side by side, where it is not here.
   *
   * @param ids of the frames; those that the view does not have are passed over
   */
  public void ready(Collection<String> ids, double scale) {
    all.parallelStream().filter(f -> ids.contains(f.id())).forEach(f -> f.pixels().ready(scale));
  }

  /** Whether what all of them are drawn from at a scale is here. */
  public boolean here(double scale) {
    return all.stream().allMatch(f -> f.pixels().here(scale));
  }

  /** Lets go of the full size of those that can be read again. */
  public void letGo() {
    all.forEach(f -> f.pixels().letGo());
  }

  /** Bytes held. */
  public long bytes() {
    return all.stream().mapToLong(f -> f.pixels().bytes()).sum();
  }

  /** Whether any of them can hold colours that sRGB cannot show. */
  public boolean wide() {
    return all.stream().anyMatch(f -> f.pixels().wide());
  }

  public int width() {
    return anchorFrame().pixels().width();
  }

  public int height() {
    return anchorFrame().pixels().height();
  }
}
