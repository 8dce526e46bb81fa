package illuminar.core.lineup;

import illuminar.core.colour.Burnt;
import illuminar.core.filter.Box;
import illuminar.core.frame.Curve;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The last step of line-up for frames of the same light: the darker of two, exposed anew by the
 * camera's response, must look like the brighter one, burnt windows and their edges included. Edges
 * beside burnt light, which lie farther out the brighter a frame is, so tell the place instead of
 * misleading. Frames are compared each with the next brighter, from the anchor outwards.
 *
 * <p>Fitting place and exposure together: Mann, "Comparametric equations with practical
 * applications in quantigraphic image processing", 2000; here the response is known and only the
 * place is fitted.
 */
final class SameLight {
  /** Rounds of the fit; it begins close by. */
  private static final int ROUNDS = 8;

  /** Pixels at full size by which a frame that was found before may still be moved. */
  private static final double MOST = 1.5;

  private static final float FAR_OVER = 100;

  /** Times that light may burn over before its edges lose trust. */
  private static final float OVER = 1.5f;

  /** Share of the spread of the fit by features that this one must stay below. */
  private static final double CLOSER = 0.35;

  /** Stops between two frames above which the darker one says too little about the brighter. */
  private static final double FAR = 4.2;

  private final List<Frame> frames;
  private final Response response;
  private final int power;
  private final double unit;

  private SameLight(List<Frame> frames, Response response, int power) {
    this.frames = frames;
    this.response = response;
    this.power = power;
    unit = Math.scalb(1.0, -power);
  }

  /**
   * How the frames lie after this step.
   *
   * @param frames all of the same light
   * @param before how they were found to lie before
   * @param power halvings at which frames are compared
   */
  static List<LineUp.Placed> refine(
      List<Frame> frames, List<LineUp.Placed> before, String anchor, Response response, int power) {
    SameLight all = new SameLight(frames, response, power);
    List<Pair> pairs = pairs(frames, anchor);
    List<Move> moves = pairs.stream().parallel().map(all::compare).toList();
    LineUp.Placed[] placed = before.toArray(LineUp.Placed[]::new);
    for (int k = 0; k < pairs.size(); k++) {
      int which = pairs.get(k).which;
      Move move = moves.get(k);
      if (move.spread < CLOSER * placed[which].spread()) {
        Similarity toFrame = placed[pairs.get(k).beside].toFrame().then(move.move);
        placed[which] = new LineUp.Placed(toFrame, move.spread, placed[which].shared(), true);
      }
    }
    return List.of(placed);
  }

  /** A frame, and the one next to it by exposure that is nearer to the anchor. */
  private record Pair(int which, int beside) {}

  /**
   * How one frame lies beside another.
   *
   * @param spread standard error at the picture's corner, full-size pixels
   */
  private record Move(Similarity move, double spread) {
    static final Move UNKNOWN = new Move(Similarity.NONE, Double.POSITIVE_INFINITY);
  }

  /** From the anchor outwards. */
  private static List<Pair> pairs(List<Frame> frames, String anchor) {
    List<Integer> order =
        IntStream.range(0, frames.size())
            .boxed()
            .sorted(Comparator.comparingDouble(i -> frames.get(i).stops()))
            .toList();
    List<Pair> out = new ArrayList<>();
    int middle = 0;
    while (middle < order.size() && !frames.get(order.get(middle)).id().equals(anchor)) {
      middle++;
    }
    for (int k = middle - 1; middle < order.size() && k >= 0; k--) {
      out.add(new Pair(order.get(k), order.get(k + 1)));
    }
    for (int k = middle + 1; k < order.size(); k++) {
      out.add(new Pair(order.get(k), order.get(k - 1)));
    }
    return out;
  }

  private Move compare(Pair pair) {
    Frame frame = frames.get(pair.which);
    Frame known = frames.get(pair.beside);
    if (Math.abs(frame.stops() - known.stops()) > FAR) {
      return Move.UNKNOWN;
    }
    Similarity start = known.toFrame().inverse().then(frame.toFrame());
    boolean darker = frame.stops() < known.stops();
    Frame dark = darker ? frame : known;
    Frame bright = darker ? known : frame;
    float gain = (float) Math.pow(2, bright.stops() - dark.stops());
    Features told = Features.exposedAlike(exposed(dark, gain)).trustedBy(clear(dark, gain));
    Features seen = Features.exposedAlike(bright.pixels().halved(power));
    Fit fit = Fit.run(darker ? seen : told, darker ? told : seen, start.sized(unit), ROUNDS);
    Similarity found = fit.move().sized(1 / unit);
    Pyramid p = frame.pixels();
    boolean near = found.apart(start, p.width() / 2.0, p.height() / 2.0) < MOST;
    return near ? new Move(found, fit.spread() / unit) : Move.UNKNOWN;
  }

  /** A frame as it would look exposed so much longer, at the size at which frames are compared. */
  private Picture exposed(Frame dark, float gain) {
    int finer = Math.max(0, power - 1);
    Picture p = dark.pixels().halved(finer);
    Picture out = Picture.of(p.width(), p.height());
    for (int c = 0; c < 3; c++) {
      Curve curve = response.exposed(c, gain);
      float[] from = p.channel(c);
      float[] to = out.channel(c);
      Bands.of(
          p.height(),
          64,
          (first, end) -> {
            for (int i = first * p.width(); i < end * p.width(); i++) {
              to[i] = curve.at(from[i]);
            }
          });
    }
    // burnt pixels must burn before they are mixed
    return finer == power ? out : halved(out);
  }

  /**
   * How far edges at each pixel can be trusted: where light burns many times over, a pixel burns
   * that holds a trace of it, and its edge only tells in whole pixels where it lies.
   */
  private Plane clear(Frame dark, float gain) {
    Picture p = dark.pixels().halved(power);
    Plane light = Plane.of(p.width(), p.height());
    for (int i = 0; i < light.data().length; i++) {
      light.data()[i] =
          p.mostAt(i) > Burnt.LAMP
              ? FAR_OVER
              : gain * response.luminance(p.r()[i], p.g()[i], p.b()[i]);
    }
    Plane near = Box.mean(light, Features.radius(p.width(), p.height()));
    for (int i = 0; i < near.data().length; i++) {
      float over = Math.max(1, near.data()[i] / OVER);
      near.data()[i] = 1 / (over * over);
    }
    return near;
  }

  private static Picture halved(Picture p) {
    Raster whole = Raster.whole(p.width(), p.height(), 1);
    Raster even = whole.part(0, 0, (p.width() + 1) / 2 * 2, (p.height() + 1) / 2 * 2);
    return p.averaged(whole, even, 2);
  }
}
