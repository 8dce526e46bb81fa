package illuminar.core.cover;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.picture.Point;
import java.util.Locale;
import java.util.Optional;

/**
 * A page with lettering over a picture: plain data.
 *
 * @param view id of the view that fills the page
 * @param across and {@code down}: where the middle of what is shown lies, as shares of the picture
 * @param text lines of lettering, one below the other
 * @param font id of a typeface
 * @param at middle of the line on which the last of it stands, as fractions of the page's long edge
 * @param fillView id of the view that fills the letters, or empty for a colour
 * @param colour of the letters where no view fills them: sRGB as #rrggbb
 * @param shadow none where the lettering throws none
 */
public record CoverPage(
    Format format,
    String view,
    @Control(label = "Zoom", unit = "%", from = 1, to = 4, step = 0.01, defaultValue = 1)
        double zoom,
    @Control(label = "Across", unit = "%", from = 0, to = 1, step = 0.005, defaultValue = 0.5)
        double across,
    @Control(label = "Down", unit = "%", from = 0, to = 1, step = 0.005, defaultValue = 0.5)
        double down,
    String text,
    String font,
    Point at,
    @Control(
            label = "Size of the letters",
            unit = "%",
            from = 0.02,
            to = 0.6,
            step = 0.005,
            defaultValue = 0.12,
            help = "As a share of the page's long edge")
        double size,
    String fillView,
    String colour,
    Optional<CastShadow> shadow,
    @Control(
            label = "Relief",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0,
            help = "How far the edges of the letters stand out on the side of the sun")
        double relief) {

  /** The longest lettering. */
  public static final int MOST_LETTERS = 120;

  public static final int MOST_LINES = 6;

  /** The shapes of pages, and their long edges in pixels. Sizes: ISO 216 at 300 ppi for A4. */
  public enum Format {
    LISTING(3, 2, 3000),
    A4(210, 297, 3508),
    SQUARE(1, 1, 2400);

    private final double wide;
    private final double high;
    private final int edge;

    Format(double wide, double high, int edge) {
      this.wide = wide;
      this.high = high;
      this.edge = edge;
    }

    /** Pixels of the long edge at full size. */
    public int edge() {
      return edge;
    }

    /** Pixels of the width where the long edge has so many. */
    public int width(int longEdge) {
      return (int) Math.round(longEdge * Math.min(1, wide / high));
    }

    public int height(int longEdge) {
      return (int) Math.round(longEdge * Math.min(1, high / wide));
    }
  }

  public CoverPage {
    Numbers.check(CoverPage.class, "zoom", zoom);
    Numbers.check(CoverPage.class, "across", across);
    Numbers.check(CoverPage.class, "down", down);
    Numbers.check(CoverPage.class, "size", size);
    Numbers.check(CoverPage.class, "relief", relief);
    text = text.strip();
    if (text.length() > MOST_LETTERS || text.lines().count() > MOST_LINES) {
      throw new IllegalArgumentException(
          "lettering has at most %d letters in %d lines".formatted(MOST_LETTERS, MOST_LINES));
    }
    colour = colour.toLowerCase(Locale.ROOT);
    if (!colour.matches("#[0-9a-f]{6}")) {
      throw new IllegalArgumentException("a colour is written as #rrggbb, not " + colour);
    }
  }

  /** Red, green and blue of the letters, encoded sRGB 0 to 1. */
  public double[] rgb() {
    int code = Integer.parseInt(colour.substring(1), 16);
    return new double[] {
      (code >> 16 & 255) / 255.0, (code >> 8 & 255) / 255.0, (code & 255) / 255.0
    };
  }
}
