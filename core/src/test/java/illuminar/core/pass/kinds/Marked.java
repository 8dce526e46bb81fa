package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.Arrays;
import java.util.List;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;

/**
 * A thing painted into a scene, to be taken out again.
 *
 * @param thing where it is
 * @param about what is brushed over it
 */
record Marked(Painted.Scene scene, Place thing, Place about) {
  static final int W = Painted.W;
  static final int H = Painted.H;
  static final Raster WHOLE = Raster.whole(W, H, 1);

  /** Some pixels. */
  interface Place {
    boolean holds(int x, int y);
  }

  /** The scene with the thing. */
  Painted.Scene shown() {
    return (x, y, c) -> thing.holds(x, y) ? 25 + 10 * c : scene.code(x, y, c);
  }

  static Recipe recipe(Move move, Shape... where) {
    List<Part> parts =
        Arrays.stream(where).map(e -> new Part("e" + e.hashCode(), Part.Combine.ADD, e)).toList();
    return new Recipe(
        new Ground.OneFrame("a"),
        List.of(new Region("r", "Mark", parts, 0, false)),
        List.of(new Pass("p", true, move, new Where("r", false), Gate.ALL, 1, "")));
  }

  static Picture seen(Analysis view, Recipe recipe, Raster raster) {
    return new PreviewSession(view, new RenderCache(20_000_000)).picture(recipe, raster);
  }

  Picture mended(Move move, Shape... where) {
    return seen(Painted.view(shown()), recipe(move, where), WHOLE);
  }

  /**
   * Delivered in small tiles it is what is seen at full size, and so is a part that is looked at.
   */
  static void sameInAnyTiles(Analysis view, Recipe recipe, Raster part) {
    Picture whole = seen(view, recipe, WHOLE);
    Picture out = Picture.of(W, H);
    new DeliveryRender(view)
        .deliver(
            recipe,
            1,
            50,
            30,
            (at, p) -> p.into(out, 0, 0, at.x(), at.y(), at.width(), at.height()));
    assertThat(out.g()).isEqualTo(whole.g());
    assertThat(seen(view, recipe, part).g()).isEqualTo(whole.cut(WHOLE, part).g());
  }

  static Lab lab(Picture p, int i) {
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  /** Mean CIEDE2000 from the scene where the thing was. */
  double left(Picture p) {
    Picture truth = Painted.picture(Painted.view(scene));
    double sum = 0;
    int n = 0;
    for (int i = 0; i < W * H; i++) {
      if (thing.holds(i % W, i / W)) {
        sum += lab(p, i).difference(lab(truth, i));
        n++;
      }
    }
    return sum / n;
  }

  /** The same of the reference library's inpainting (Telea 2004; Bertalmio 2001), the better. */
  double reference() {
    Painted.Scene shown = shown();
    byte[] codes = new byte[3 * W * H];
    byte[] mask = new byte[W * H];
    for (int i = 0; i < W * H; i++) {
      mask[i] = (byte) (about.holds(i % W, i / W) ? 255 : 0);
      for (int c = 0; c < 3; c++) {
        codes[3 * i + c] = (byte) shown.code(i % W, i / W, c);
      }
    }
    double least = Double.MAX_VALUE;
    for (int method : new int[] {opencv_photo.INPAINT_TELEA, opencv_photo.INPAINT_NS}) {
      Mat out = new Mat();
      opencv_photo.inpaint(
          new Mat(H, W, opencv_core.CV_8UC3, new BytePointer(codes)),
          new Mat(H, W, opencv_core.CV_8U, new BytePointer(mask)),
          out,
          4,
          method);
      byte[] filled = new byte[codes.length];
      out.data().get(filled);
      Analysis view = Painted.view((x, y, c) -> filled[3 * (y * W + x) + c] & 255);
      least = Math.min(least, left(Painted.picture(view)));
    }
    return least;
  }
}
