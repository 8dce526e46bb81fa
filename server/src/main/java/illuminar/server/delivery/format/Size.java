package illuminar.server.delivery.format;

import jakarta.validation.constraints.NotNull;
import java.util.Locale;

/**
 * How large a finished picture is. Nothing is enlarged.
 *
 * @param kind what the numbers are
 * @param width pixels of the long edge or of the width that it fits into, or centimetres
 * @param height pixels of the height that it fits into, or centimetres; 0 where one is enough
 * @param ppi pixels to an inch, of print sizes
 */
public record Size(@NotNull Kind kind, double width, double height, int ppi) {
  /** What the numbers of a size are. */
  public enum Kind {
    FULL,
    LONG_EDGE,
    WITHIN,
    PRINT
  }

  public static final Size WHOLE = new Size(Kind.FULL, 0, 0, 0);

  private static final double INCH = 2.54;
  private static final int LEAST_EDGE = 64;
  private static final int MOST_EDGE = 30_000;
  private static final int LEAST_PPI = 30;
  private static final int MOST_PPI = 2400;

  /**
   * @throws IllegalArgumentException if nobody could want such a size
   */
  public Size {
    kind = kind == null ? Kind.FULL : kind;
    if (kind == Kind.PRINT && (ppi < LEAST_PPI || ppi > MOST_PPI)) {
      throw new IllegalArgumentException("A print has 30 to 2400 pixels to an inch.");
    }
    double least = kind == Kind.PRINT ? ppi / INCH : 1;
    if (kind == Kind.LONG_EDGE && !edge(width)) {
      throw new IllegalArgumentException("A long edge has 64 to 30000 px.");
    }
    if ((kind == Kind.WITHIN || kind == Kind.PRINT)
        && !(edge(width * least) && edge(height * least))) {
      throw new IllegalArgumentException("Width and height are 64 to 30000 px each.");
    }
  }

  /** A size by its long edge, pixels. */
  public static Size edge(int px) {
    return new Size(Kind.LONG_EDGE, px, 0, 0);
  }

  private static boolean edge(double px) {
    return px >= LEAST_EDGE && px <= MOST_EDGE;
  }

  /** What a picture of full size is multiplied by, at most 1. A print is laid along the picture. */
  public double scale(int fullWidth, int fullHeight) {
    int full = Math.max(fullWidth, fullHeight);
    double fits =
        switch (kind) {
          case FULL -> 1;
          case LONG_EDGE -> width / full;
          case WITHIN -> Math.min(width / fullWidth, height / fullHeight);
          case PRINT -> {
            double along = Math.max(width, height) / full;
            double across = Math.min(width, height) / Math.min(fullWidth, fullHeight);
            yield Math.min(along, across) * ppi / INCH;
          }
        };
    return Math.min(1, fits);
  }

  /** In a file's name. */
  public String said() {
    return switch (kind) {
      case FULL -> "full";
      case LONG_EDGE -> plain(width) + "px";
      case WITHIN -> plain(width) + "x" + plain(height) + "px";
      case PRINT -> plain(width) + "x" + plain(height) + "cm";
    };
  }

  private static String plain(double v) {
    return v == Math.rint(v) ? Long.toString((long) v) : String.format(Locale.ROOT, "%.1f", v);
  }
}
