package illuminar.core.render;

import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * Lettering over a finished picture that says whose it is: white with a soft dark surround, so that
 * it is read on light and on dark things alike. It is mixed in the codes of the picture, as one
 * sees it. Common practice, no source.
 *
 * @param text of one line; empty for none
 * @param size of the lettering, as a share of the picture's long edge
 * @param strength 1 hides what lies below
 */
public record Watermark(String text, Place place, double size, double strength) {
  public static final Watermark NONE = new Watermark("", Place.LOWER_RIGHT, 0.03, 0.5);

  private static final int LONGEST = 80;
  private static final double SMALLEST = 0.005;
  private static final double LARGEST = 0.2;
  private static final double FAINTEST = 0.05;

  /** Reach of the surround as a share of the lettering's size, and how dark it is. */
  private static final double REACH = 0.06;

  private static final double DARK = 0.6;

  /** How often its reach a surround is drawn. */
  private static final int WIDE = 3;

  /** From the border of the picture, as a share of the lettering's size. */
  private static final double MARGIN = 0.8;

  /** Where it lies. */
  public enum Place {
    UPPER_LEFT(0, 0),
    UPPER_RIGHT(1, 0),
    MIDDLE(0.5, 0.5),
    LOWER_LEFT(0, 1),
    LOWER_RIGHT(1, 1);

    private final double across;
    private final double down;

    Place(double across, double down) {
      this.across = across;
      this.down = down;
    }
  }

  /**
   * @throws IllegalArgumentException if it is too long, or a number is out of its range
   */
  public Watermark {
    text = text == null ? "" : text.strip();
    place = place == null ? Place.LOWER_RIGHT : place;
    if (text.length() > LONGEST || text.lines().count() > 1) {
      throw new IllegalArgumentException("A watermark has one line of at most 80 letters.");
    }
    if (!(size >= SMALLEST && size <= LARGEST)) {
      throw new IllegalArgumentException(
          "A watermark has a two-hundredth to a fifth of the long edge in size.");
    }
    if (!(strength >= FAINTEST && strength <= 1)) {
      throw new IllegalArgumentException("A watermark has a strength of a twentieth to 1.");
    }
  }

  /** Whether there is none. */
  public boolean none() {
    return text.isEmpty();
  }

  /**
   * The size of its lettering in pixels, smaller where the picture is too narrow for it.
   *
   * @param wide width of the lettering at a size of 1
   */
  public double pixels(int width, int height, double wide) {
    double fits = Math.min(width / (wide + 2 * MARGIN), height / (1 + 2 * MARGIN));
    return Math.min(size * Math.max(width, height), fits);
  }

  /**
   * The part of a picture that lettering and surround lie in.
   *
   * @param wide extent of the lettering in pixels
   * @param high likewise
   * @param pixels its size
   */
  public Raster area(int width, int height, double wide, double high, double pixels) {
    double margin = MARGIN * pixels;
    double x = margin + place.across * (width - 2 * margin - wide);
    double y = margin + place.down * (height - 2 * margin - high);
    int around = around(pixels);
    int left = Math.max(0, (int) Math.floor(x) - around);
    int top = Math.max(0, (int) Math.floor(y) - around);
    int right = Math.min(width, (int) Math.ceil(x + wide) + around);
    int low = Math.min(height, (int) Math.ceil(y + high) + around);
    return Raster.whole(width, height, 1).part(left, top, right - left, low - top);
  }

  /** How far the surround goes beyond the lettering, pixels. */
  public static int around(double pixels) {
    return (int) Math.ceil(WIDE * REACH * pixels) + 1;
  }

  /**
   * Lays lettering over interleaved codes, which are changed.
   *
   * @param codes {@code byte[]} or {@code short[]}, codes without sign
   * @param width of the picture
   * @param channels of a pixel
   * @param area where the lettering lies
   * @param letters its coverage there
   */
  public void over(
      Object codes, int width, int channels, Raster area, Plane letters, double pixels) {
    Plane round = Gauss.smooth(letters, Math.max(0.7, REACH * pixels));
    for (int j = 0; j < area.height(); j++) {
      for (int i = 0; i < area.width(); i++) {
        int from = j * area.width() + i;
        double white = strength * letters.data()[from];
        // twice, so that thin strokes have a full surround; none beneath them
        double around = Math.min(1, 2 * round.data()[from]) * (1 - letters.data()[from]);
        double dark = strength * DARK * around;
        int at = ((area.y() + j) * width + area.x() + i) * channels;
        for (int c = at; c < at + channels; c++) {
          mix(codes, c, dark, white);
        }
      }
    }
  }

  private static void mix(Object codes, int at, double dark, double white) {
    if (codes instanceof byte[] eight) {
      eight[at] = (byte) mixed(eight[at] & 0xff, 0xff, dark, white);
    } else {
      short[] sixteen = (short[]) codes;
      sixteen[at] = (short) mixed(sixteen[at] & 0xffff, 0xffff, dark, white);
    }
  }

  private static int mixed(int code, int full, double dark, double white) {
    double shaded = code * (1 - dark);
    return (int) Math.round(shaded + white * (full - shaded));
  }
}
