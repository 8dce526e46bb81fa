package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
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
import illuminar.core.pass.kinds.Heal;
import illuminar.core.pass.kinds.TakeOut;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Brush;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.bytedeco.opencv.global.opencv_photo;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Rect;

/**
 * Dust, stains, cracks, sockets, cables and stands put into a frame at places that chance names,
 * brushed over and taken out again, beside the frame without them and beside the reference
 * library's inpainting (Telea 2004; Bertalmio 2001), the better of the two for each.
 */
final class MendProof {
  /** Of what is put in, sRGB. */
  private static final int[] DARK = {52, 47, 43};

  /** Pixels by which a brush is wider than a thing. */
  private static final double OVER = 3;

  /** Lightness that varies by more within a place is a texture there; standard deviation. */
  private static final double PLAIN = 2;

  private static final int PLACES = 2;
  private static final int SEED = 8;
  private static final double MOST_PLAIN = 3;
  private static final double MOST_TEXTURED = 6;

  private final String title;
  private final Codes truth;
  private final Table table;
  private final int w;
  private final int h;

  /** What is left of things, of ours and of the reference's, plain places and others. */
  record Left(String thing, boolean plain, double ours, double reference) {
    /** Of the reference's; both may leave nothing, in a burnt place. */
    double share() {
      return ours == reference ? 1 : ours / reference;
    }
  }

  /**
   * @param truth 8-bit codes of a frame without the things
   */
  MendProof(String title, Codes truth, Table table) {
    this.title = title;
    this.table = table;
    this.truth = truth;
    w = truth.width();
    h = truth.height();
  }

  void all() {
    List<Left> all = taken(PLACES, SEED);
    put(all.stream().filter(Left::plain).toList(), "plain", MOST_PLAIN);
    put(all.stream().filter(l -> !l.plain).toList(), "textured", MOST_TEXTURED);
    double ours = all.stream().mapToDouble(Left::ours).sum();
    double reference = all.stream().mapToDouble(Left::reference).sum();
    table.most(title, "things taken out, of the reference's, mean", ours / reference, "", 0.7);
    table.most(
        title,
        "things taken out, of the reference's, worst",
        all.stream().mapToDouble(Left::share).max().orElse(0),
        "",
        1);
  }

  private void put(List<Left> some, String where, double most) {
    if (!some.isEmpty()) {
      double mean = some.stream().mapToDouble(Left::ours).average().orElse(0);
      table.most(title, "things taken out, " + where + " places", mean, "CIEDE2000", most);
    }
  }

  /** Each thing at so many places. */
  List<Left> taken(int places, long seed) {
    Random chance = new Random(seed);
    List<Left> all = new ArrayList<>();
    for (Thing thing : Thing.ALL) {
      for (int k = 0; k < places; k++) {
        all.add(taken(thing, 0.06 + 0.7 * chance.nextDouble(), 0.03 + 0.4 * chance.nextDouble()));
      }
    }
    return all;
  }

  /** Puts a thing at a place, shares of the width, and takes it out. */
  private Left taken(Thing thing, double x, double y) {
    List<Point[]> lines = thing.at(x, y);
    boolean[] there = Thing.covered(lines, thing.radius() * w, w, h);
    byte[] shown = truth.eight().clone();
    for (int i = 0; i < there.length; i++) {
      for (int c = 0; c < 3 && there[i]; c++) {
        shown[3 * i + c] = (byte) DARK[c];
      }
    }
    byte[] ours = ours(thing, lines, shown);
    boolean[] brushed = Thing.covered(lines, thing.radius() * w + OVER, w, h);
    double reference =
        Math.min(
            left(inpainted(shown, brushed, opencv_photo.INPAINT_TELEA), there),
            left(inpainted(shown, brushed, opencv_photo.INPAINT_NS), there));
    Left left = new Left(thing.name(), spread(there) < PLAIN, left(ours, there), reference);
    System.out.printf(
        "  %s %s at %.2f, %.2f: ours %.2f, reference %.2f%s%n",
        title, thing.name(), x, y, left.ours, reference, left.plain ? ", plain" : "");
    return left;
  }

  private byte[] ours(Thing thing, List<Point[]> lines, byte[] shown) {
    Frame frame =
        new Frame("a", Role.AMBIENT, 0, Similarity.NONE, Pyramid.of(Codes.of8(w, h, shown)));
    Analysis analysis = new Analysis(new Frames(List.of(frame), "a", Response.srgb()));
    List<Brush.Stroke> strokes =
        lines.stream()
            .map(
                l ->
                    new Brush.Stroke(
                        thing.radius() + OVER / w, 0, 1, false, 0, DrawnLine.write(List.of(l))))
            .toList();
    Region region =
        new Region(
            "r", "r", List.of(new Part("b", Part.Combine.ADD, new Brush(strokes))), 0, false);
    Move move = thing.large() ? new TakeOut(1.5) : new Heal(0, 0);
    Pass pass = new Pass("p", true, move, new Where("r", false), Gate.ALL, 1, "");
    Picture p =
        new PreviewSession(analysis, new RenderCache(400_000_000))
            .picture(
                new Recipe(new Ground.OneFrame("a"), List.of(region), List.of(pass)),
                Raster.whole(w, h, 1));
    byte[] out = new byte[3 * w * h];
    for (int i = 0; i < w * h; i++) {
      double[] s = Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
      for (int c = 0; c < 3; c++) {
        out[3 * i + c] = (byte) (int) Math.round(255 * Srgb.encode(Math.max(0, Math.min(1, s[c]))));
      }
    }
    return out;
  }

  private byte[] inpainted(byte[] shown, boolean[] hole, int method) {
    int x0 = w;
    int x1 = 0;
    int y0 = h;
    int y1 = 0;
    byte[] mask = new byte[w * h];
    for (int i = 0; i < hole.length; i++) {
      if (hole[i]) {
        mask[i] = -1;
        x0 = Math.min(x0, i % w);
        x1 = Math.max(x1, i % w);
        y0 = Math.min(y0, i / w);
        y1 = Math.max(y1, i / w);
      }
    }
    x0 = Math.max(0, x0 - 20);
    y0 = Math.max(0, y0 - 20);
    Rect part = new Rect(x0, y0, Math.min(w, x1 + 20) - x0, Math.min(h, y1 + 20) - y0);
    byte[] out = shown.clone();
    try (Mat codes = new Mat(h, w, org.bytedeco.opencv.global.opencv_core.CV_8UC3);
        Mat holes = new Mat(h, w, org.bytedeco.opencv.global.opencv_core.CV_8U);
        Mat filled = new Mat()) {
      codes.data().put(shown);
      holes.data().put(mask);
      opencv_photo.inpaint(
          new Mat(codes, part).clone(), new Mat(holes, part).clone(), filled, 4, method);
      byte[] rows = new byte[3 * part.width() * part.height()];
      filled.data().get(rows);
      for (int y = 0; y < part.height(); y++) {
        System.arraycopy(
            rows, 3 * y * part.width(), out, 3 * ((y0 + y) * w + x0), 3 * part.width());
      }
    }
    return out;
  }

  /** Mean CIEDE2000 from the truth where a thing was. */
  private double left(byte[] codes, boolean[] there) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < there.length; i++) {
      if (there[i]) {
        sum += lab(codes, i).difference(lab(truth.eight(), i));
        n++;
      }
    }
    return n == 0 ? 0 : sum / n;
  }

  /** Standard deviation of the truth's lightness where a thing was. */
  private double spread(boolean[] there) {
    double sum = 0;
    double squares = 0;
    int n = 0;
    for (int i = 0; i < there.length; i++) {
      if (there[i]) {
        double l = lab(truth.eight(), i).l();
        sum += l;
        squares += l * l;
        n++;
      }
    }
    return n == 0 ? 0 : Math.sqrt(Math.max(0, squares / n - sum / n * sum / n));
  }

  private static Lab lab(byte[] codes, int i) {
    double[] work =
        Space.SRGB_TO_WORK.apply(
            Srgb.decode8(codes[3 * i] & 255),
            Srgb.decode8(codes[3 * i + 1] & 255),
            Srgb.decode8(codes[3 * i + 2] & 255));
    return Lab.ofWork((float) work[0], (float) work[1], (float) work[2]);
  }
}
