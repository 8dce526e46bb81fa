package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Outline;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;

/** Invented scenes whose light is known at every pixel, and what passes make of them. */
final class Lit {
  private Lit() {}

  static final int W = 300;
  static final int H = 200;
  static final Raster WHOLE = Raster.whole(W, H, 1);
  static final Region ALL =
      new Region(
          "all",
          "All",
          List.of(
              new Part(
                  "o",
                  Part.Combine.ADD,
                  new Outline(
                      List.of(
                          new Point(0, 0), new Point(1, 0), new Point(1, 1), new Point(0, 1))))),
          0,
          false);

  /** Light of a scene at a pixel and channel, linear sRGB, 1 where burnt. */
  interface Scene {
    double light(int x, int y, int c);
  }

  static Frame frame(String id, Role role, Scene scene) {
    byte[] rgb = new byte[W * H * 3];
    for (int y = 0; y < H; y++) {
      for (int x = 0; x < W; x++) {
        for (int c = 0; c < 3; c++) {
          double v = Math.max(0, Math.min(1, scene.light(x, y, c)));
          rgb[(y * W + x) * 3 + c] = (byte) Math.round(255 * Srgb.encode(v));
        }
      }
    }
    return new Frame(id, role, 0, Similarity.NONE, Pyramid.of(Codes.of8(W, H, rgb)));
  }

  static Analysis view(Frame... frames) {
    return new Analysis(new Frames(List.of(frames), "a", Response.srgb()));
  }

  static Picture picture(Analysis view, Move... moves) {
    List<Pass> passes = new ArrayList<>();
    for (Move m : moves) {
      passes.add(new Pass("p" + passes.size(), true, m, new Where("all", false), Gate.ALL, 1, ""));
    }
    Recipe recipe = new Recipe(new Ground.OneFrame("a"), List.of(ALL), passes);
    return new PreviewSession(view, new RenderCache(20_000_000)).picture(recipe, WHOLE);
  }

  static Lab lab(Picture p, int x, int y) {
    int i = y * W + x;
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  /** A grey wall, and a red book on it. */
  static double paint(int x, int y, int c) {
    boolean book = x > 180 && x < 230 && y > 90 && y < 150;
    return book ? new double[] {0.5, 0.08, 0.06}[c] : 0.6;
  }

  /** Orange light from the left, daylight from the right. */
  static double mixed(int x, int c) {
    double t = x / (double) W;
    double lamp = new double[] {0.62, 0.42, 0.22}[c];
    double day = new double[] {0.38, 0.42, 0.5}[c];
    return lamp * (1 - t) + day * t;
  }

  static final Analysis MIXED =
      view(
          frame("a", Role.AMBIENT, (x, y, c) -> paint(x, y, c) * mixed(x, c)),
          frame("fl", Role.FLASH, (x, y, c) -> paint(x, y, c) * (mixed(x, c) + 0.35)));
}
