package illuminar.core;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import java.util.ArrayList;
import java.util.List;

/**
 * An invented room for tests whose window shows a burnt sky over trees that lie in the room's own
 * range, a lamp before the panes and a white sill below; and an invented house front in the sun.
 */
public final class GardenRoom {
  public static final int WIDTH = 1200;
  public static final int HEIGHT = 800;

  private static final int[] GLASS = {420, 220, 820, 470};

  public static final double WALL = 0.1;

  private static final int HORIZON = 330;
  private static final int BAR = 5;

  private GardenRoom() {}

  /** The glass, without its frame: left, top, right, bottom. */
  public static int[] glass() {
    return GLASS.clone();
  }

  /** Light at a pixel. */
  public static double light(int x, int y, int c) {
    double tint = c == 0 ? 1 : c == 1 ? 0.97 : 0.92;
    boolean opening =
        x >= GLASS[0] - 12 && x < GLASS[2] + 12 && y >= GLASS[1] - 12 && y < GLASS[3] + 12;
    if (lamp(x, y)) {
      return 0.02 * tint;
    }
    if (opening) {
      return glass(x, y) ? view(x, y, c) : 0.2;
    }
    boolean sill = x > GLASS[0] - 40 && x < GLASS[2] + 40 && y < GLASS[3] + 30 && y >= GLASS[3];
    if (sill) {
      return 0.35;
    }
    return tint * (WALL + 0.02 * grain(x * 0.05, y * 0.04) + (y > 560 ? -0.04 : 0));
  }

  /** Whether a pixel shows what is outside. */
  public static boolean glass(int x, int y) {
    boolean inside = x >= GLASS[0] && x < GLASS[2] && y >= GLASS[1] && y < GLASS[3];
    boolean bar = Math.abs(x - 553) < BAR || Math.abs(x - 687) < BAR || Math.abs(y - 350) < BAR;
    return inside && !bar && !lamp(x, y);
  }

  private static boolean lamp(int x, int y) {
    return Math.hypot(x - 620, y - 380) < 22
        || Math.abs(x - 620 - (y - 380) / 3) < 4 && y > 380 && y < 500;
  }

  private static double view(int x, int y, int c) {
    double wood = 0.5 + 0.5 * grain(x * 0.35, y * 0.3);
    if (y < HORIZON + 25 * grain(x * 0.06, 3)) {
      return (c == 2 ? 5.5 : c == 1 ? 4.6 : 3.8) * (0.9 + 0.2 * grain(x * 0.02, y * 0.03));
    }
    return (c == 1 ? 0.75 : c == 0 ? 0.5 : 0.3) * (0.35 + wood);
  }

  private static double grain(double x, double y) {
    return 0.5
        + 0.5
            * Math.sin(x * 1.7 + 2 * Math.sin(y * 0.9))
            * Math.sin(y * 1.3 + 2 * Math.sin(x * 0.7));
  }

  /** Light of a house front at noon: sky, sunlit wall, white frames round dark windows. */
  public static double front(int x, int y, int c) {
    if (y < 180) {
      return c == 2 ? 1.9 : c == 1 ? 1.4 : 1.0;
    }
    boolean window = (x - 150) % 300 > 60 && (x - 150) % 300 < 190 && y > 300 && y < 480;
    boolean pane =
        (x - 150) % 300 > 72
            && (x - 150) % 300 < 178
            && y > 312
            && y < 468
            && Math.abs(y - 390) > 4;
    if (pane) {
      return 0.04;
    }
    if (window) {
      return 2.2;
    }
    double brick = 0.6 + 0.3 * grain(x * 0.3, y * 0.5);
    return brick * (c == 0 ? 0.9 : c == 1 ? 0.55 : 0.42);
  }

  /** Frames of a scene, two stops apart about the one that gives geometry. */
  public static Analysis analysis(TestRoom.Light scene, int below, int above) {
    List<Frame> frames = new ArrayList<>();
    for (int k = -below; k <= above; k++) {
      frames.add(TestRoom.frame("f" + k, Role.AMBIENT, 2 * k, WIDTH, HEIGHT, scene));
    }
    return new Analysis(new Frames(frames, "f0", response()));
  }

  /** The room in five frames. */
  public static Analysis room() {
    return analysis(GardenRoom::light, 2, 2);
  }

  private static Response response() {
    float[] curve = new float[1024];
    for (int i = 0; i < curve.length; i++) {
      double shown = illuminar.core.colour.Srgb.decode(i / (curve.length - 1.0));
      curve[i] = (float) Math.pow(shown, 1 / 0.8);
    }
    return Response.of(new float[][] {curve, curve, curve});
  }
}
