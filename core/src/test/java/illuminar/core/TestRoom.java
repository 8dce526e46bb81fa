package illuminar.core;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import java.util.ArrayList;
import java.util.List;

/**
 * A small invented room for tests, known at every point: a textured wall with a bright window of
 * four panes and bars between them. Frames can be taken of it at any exposure and displacement.
 */
public final class TestRoom {
  public final int width;
  public final int height;

  private final double sun;

  public TestRoom(int width, int height) {
    this(width, height, 1);
  }

  /**
   * @param sun how many times brighter or darker than usual it is outside
   */
  public TestRoom(int width, int height, double sun) {
    this.width = width;
    this.height = height;
    this.sun = sun;
  }

  /**
   * Light at a place in pixels, channel 0 to 2; the room about 0.02 to 0.2, the view about 2 to 6.
   */
  public double light(double x, double y, int c) {
    double u = x / width;
    double v = y / height;
    double pane = pane(x, y);
    double tint = c == 0 ? 1.0 : c == 1 ? 0.97 : 0.9;
    double room =
        tint
            * (0.05
                + 0.045 * Math.sin(31 * u) * Math.sin(23 * v)
                + 0.03 * grain(u * 90, v * 60)
                + 0.05 * u);
    double sky = (c == 2 ? 5.5 : c == 1 ? 4.2 : 3.4) * (1.25 - v) + 1.1 * grain(u * 140, v * 90);
    return room + pane * (sun * sky - room);
  }

  private static double grain(double x, double y) {
    return Math.sin(x * 1.7 + 2 * Math.sin(y * 0.9))
            * Math.sin(y * 1.3 + 2 * Math.sin(x * 0.7))
            * 0.5
        + 0.5;
  }

  /** Share of view at a place, edges one pixel wide. */
  public double pane(double x, double y) {
    double left = width * 0.30;
    double right = width * 0.70;
    double top = height * 0.22;
    double low = height * 0.66;
    double bar = Math.max(3, width * 0.008);
    double midX = (left + right) / 2;
    double midY = (top + low) / 2;
    double inside = Math.min(Math.min(x - left, right - x), Math.min(y - top, low - y));
    double off = Math.min(Math.abs(x - midX) - bar, Math.abs(y - midY) - bar);
    return Math.max(0, Math.min(1, Math.min(inside, off) + 0.5));
  }

  /** The camera's curve in these tests: display = light^0.8, then sRGB codes. */
  public static double display(double light) {
    return Math.pow(Math.max(0, Math.min(1, light)), 0.8);
  }

  /** Light of an invented scene at a pixel, channel 0 to 2. */
  public interface Light {
    double at(int x, int y, int c);
  }

  /** A frame of any scene by the camera of these tests, in place, 8 bit. */
  public static Frame frame(
      String id, Role role, double stops, int width, int height, Light scene) {
    byte[] rgb = new byte[width * height * 3];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        for (int c = 0; c < 3; c++) {
          double shown = display(scene.at(x, y, c) * Math.pow(2, stops));
          rgb[(y * width + x) * 3 + c] = (byte) (int) Math.round(255 * Srgb.encode(shown));
        }
      }
    }
    return new Frame(id, role, stops, Similarity.NONE, Pyramid.of(Codes.of8(width, height, rgb)));
  }

  /** 8-bit codes of a frame; {@code move} says where points of the room lie in it. */
  public Codes codes(double stops, Similarity move) {
    byte[] rgb = new byte[width * height * 3];
    Similarity back = move.inverse();
    double k = Math.pow(2, stops);
    double cx = (width - 1) / 2.0;
    double cy = (height - 1) / 2.0;
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        double u = cx + back.a() * (x - cx) - back.b() * (y - cy) + back.dx();
        double v = cy + back.b() * (x - cx) + back.a() * (y - cy) + back.dy();
        for (int c = 0; c < 3; c++) {
          rgb[(y * width + x) * 3 + c] =
              (byte) (int) Math.round(255 * Srgb.encode(display(light(u, v, c) * k)));
        }
      }
    }
    return Codes.of8(width, height, rgb);
  }

  /** The true response of {@link #display}. */
  public static Response response() {
    float[] light = new float[256];
    for (int i = 0; i < 256; i++) {
      light[i] = (float) Math.pow(Srgb.decode(i / 255.0), 1 / 0.8);
    }
    return Response.of(new float[][] {light, light, light});
  }

  /** Frames at −2, 0, +2 and +4 stops and a window frame at −3.3, all in place. */
  public Frames frames() {
    List<Frame> all = new ArrayList<>();
    double[] stops = {-1, 1, 3, 5};
    for (int i = 0; i < stops.length; i++) {
      all.add(frame("a" + i, Role.AMBIENT, stops[i]));
    }
    all.add(frame("w", Role.WINDOW, -3));
    return new Frames(all, "a1", response());
  }

  private Frame frame(String id, Role role, double stops) {
    return new Frame(id, role, stops, Similarity.NONE, Pyramid.of(codes(stops, Similarity.NONE)));
  }

  public Analysis analysis() {
    return new Analysis(frames());
  }
}
