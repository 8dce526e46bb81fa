package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
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
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;

/** Painted scenes and what passes make of them. */
public final class Painted {
  private Painted() {}

  public static final int W = 240;

  public static final int H = 160;

  /** sRGB codes of a picture, 0 to 255. */
  public interface Scene {
    int code(int x, int y, int c);
  }

  public static Analysis view(Scene scene) {
    byte[] rgb = new byte[W * H * 3];
    for (int i = 0; i < W * H * 3; i++) {
      rgb[i] = (byte) scene.code(i / 3 % W, i / 3 / W, i % 3);
    }
    Frame frame =
        new Frame("a", Role.AMBIENT, 0, Similarity.NONE, Pyramid.of(Codes.of8(W, H, rgb)));
    return new Analysis(new Frames(List.of(frame), "a", Response.srgb()));
  }

  static Picture picture(Analysis view, Move... moves) {
    Recipe recipe =
        new Recipe(
            new Ground.OneFrame("a"),
            List.of(),
            java.util.Arrays.stream(moves)
                .map(m -> new Pass("p" + m.hashCode(), true, m, Where.EVERYWHERE, Gate.ALL, 1, ""))
                .toList());
    return new PreviewSession(view, new RenderCache(20_000_000))
        .picture(recipe, Raster.whole(W, H, 1));
  }

  static double[] codes(Picture p, int x, int y) {
    int i = y * W + x;
    double[] s = Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
    return new double[] {Srgb.encode(s[0]), Srgb.encode(s[1]), Srgb.encode(s[2])};
  }

  static Lab lab(Picture p, int x, int y) {
    int i = y * W + x;
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  /** Every grey from left to right. */
  static final Analysis GREYS = view((x, y, c) -> 8 + x);

  /** Patches of four colours and a grey, each 48 wide. */
  static final int[][] PATCHES = {
    {60, 120, 50}, {150, 60, 50}, {200, 190, 60}, {70, 90, 160}, {128, 128, 128}
  };

  static final Analysis COLOURS = view((x, y, c) -> PATCHES[x / 48][c]);

  static double saturation(double[] code) {
    double most = Math.max(code[0], Math.max(code[1], code[2]));
    return 1 - Math.min(code[0], Math.min(code[1], code[2])) / most;
  }

  static double stops(Picture p, int x, int y) {
    return Stops.of(p.luminanceAt(y * W + x));
  }

  /** A dark corner with texture beside a light wall. */
  static final Analysis CORNER =
      view((x, y, c) -> x < 120 ? 30 + 6 * ((x / 3 + y / 3) % 2) : 180 + 8 * ((x / 3) % 2));
}
