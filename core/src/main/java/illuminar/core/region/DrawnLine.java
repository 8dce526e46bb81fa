package illuminar.core.region;

import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A drawn line as text, so that thousands of strokes stay small: places separated by blanks, each
 * {@code x,y} in hundred-thousandths of the anchor's long edge, the first from the upper left
 * corner, every other from the one before; a third number is the pen's pressure in percent.
 */
public record DrawnLine(List<Point> points, List<Double> pressure) {
  private static final double UNIT = 100_000;
  private static final int MOST_PLACES = 20_000;

  /**
   * Reads a line.
   *
   * @throws IllegalArgumentException if the text is no such line
   */
  public static DrawnLine read(String text) {
    List<Point> points = new ArrayList<>();
    List<Double> pressure = new ArrayList<>();
    long x = 0;
    long y = 0;
    if (text.isBlank()) {
      return new DrawnLine(points, pressure);
    }
    for (String place : text.strip().split(" ", -1)) {
      String[] numbers = place.split(",", -1);
      try {
        if (numbers.length > 3) {
          throw new NumberFormatException();
        }
        x += Integer.parseInt(numbers[0]);
        y += Integer.parseInt(numbers[1]);
        pressure.add(numbers.length > 2 ? Integer.parseInt(numbers[2]) / 100.0 : 1.0);
      } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
        throw new IllegalArgumentException("a drawn line has a place that reads " + place);
      }
      points.add(new Point(x / UNIT, y / UNIT));
    }
    if (points.size() > MOST_PLACES) {
      throw new IllegalArgumentException("a drawn line has at most " + MOST_PLACES + " places");
    }
    return new DrawnLine(points, pressure);
  }

  /**
   * Refuses text that is no such line, at the cost of one look at each character.
   *
   * @throws IllegalArgumentException naming the place that cannot be read
   */
  public static void check(String text) {
    int digits = 0;
    int numbers = 1;
    int places = 0;
    for (int i = 0; i <= text.length(); i++) {
      char c = i == text.length() ? ' ' : text.charAt(i);
      boolean sign = c == '-' && (i == 0 || text.charAt(i - 1) == ',' || text.charAt(i - 1) == ' ');
      if (c >= '0' && c <= '9' && digits < 9) {
        digits++;
      } else if (c == ',' && digits > 0 && numbers < 3) {
        digits = 0;
        numbers++;
      } else if (c == ' ' && digits > 0 && numbers > 1 && places < MOST_PLACES) {
        digits = 0;
        numbers = 1;
        places++;
      } else if (!sign) {
        // says what is wrong
        read(text);
        return;
      }
    }
  }

  /** Writes a line through points, drawn at full pressure. */
  public static String write(List<Point> points) {
    return new DrawnLine(points, points.stream().map(p -> 1.0).toList()).write();
  }

  /** The same line, each of its places carried to another. */
  public DrawnLine moved(UnaryOperator<Point> to) {
    return new DrawnLine(points.stream().map(to).toList(), pressure);
  }

  /** The line as text, as {@link #read} reads it. */
  public String write() {
    StringBuilder out = new StringBuilder();
    long x = 0;
    long y = 0;
    for (int i = 0; i < points.size(); i++) {
      long nx = Math.round(points.get(i).x() * UNIT);
      long ny = Math.round(points.get(i).y() * UNIT);
      out.append(out.isEmpty() ? "" : " ").append(nx - x).append(',').append(ny - y);
      long percent = Math.round(100 * pressure.get(i));
      if (percent != 100) {
        out.append(',').append(percent);
      }
      x = nx;
      y = ny;
    }
    return out.toString();
  }
}
