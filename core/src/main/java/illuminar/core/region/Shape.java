package illuminar.core.region;

import java.util.List;

/**
 * What a part is made of. All lengths are fractions of the anchor's long edge unless said
 * otherwise.
 */
public sealed interface Shape {
  /** Strokes that one brush part may hold. */
  int MOST_STROKES = 10_000;

  /** A closed line through points; filled by the non-zero rule, so it may cross itself. */
  record Outline(List<Point> points) implements Shape {
    public Outline {
      points = List.copyOf(points);
      if (points.size() > 5000) {
        throw new IllegalArgumentException("an outline holds at most 5000 points");
      }
    }
  }

  /** Brush strokes in the order they were made. */
  record Brush(List<Stroke> strokes) implements Shape {
    public Brush {
      strokes = List.copyOf(strokes);
      if (strokes.size() > MOST_STROKES) {
        throw new IllegalArgumentException("a brush holds at most " + MOST_STROKES + " strokes");
      }
    }
  }

  /**
   * One stroke.
   *
   * @param radius half the brush's size
   * @param softness share of the radius over which it fades, 0 hard to 1 soft
   * @param flow how strongly the stroke covers, 0 to 1
   * @param takeAway whether it rubs out
   */
  record Stroke(double radius, double softness, double flow, boolean takeAway, List<Point> points) {
    public Stroke {
      points = List.copyOf(points);
      if (!(radius > 0 && radius <= 1)
          || !(softness >= 0 && softness <= 1)
          || !(flow >= 0 && flow <= 1)) {
        throw new IllegalArgumentException("no such brush: size, softness or flow is out of range");
      }
    }
  }

  /**
   * The panes of the windows, found in the frames: burnt in the ambient frames, well exposed in the
   * window frame, glazing bars left out.
   *
   * @param grow pixels at full size by which the panes are widened, −20 to 20
   */
  record WindowFinder(double grow) implements Shape {
    public WindowFinder {
      if (!(grow >= -20 && grow <= 20)) {
        throw new IllegalArgumentException("panes grow by −20 to 20 px, not " + grow);
      }
    }
  }

  /**
   * Where a frame is burnt or nearly so.
   *
   * @param frame id of the frame
   * @param reach stops below the highest code at which the part begins, 0 to 3
   */
  record BurntLight(String frame, double reach) implements Shape {
    public BurntLight {
      if (!(reach >= 0 && reach <= 3)) {
        throw new IllegalArgumentException("burnt light reaches 0 to 3 stops, not " + reach);
      }
    }
  }
}
