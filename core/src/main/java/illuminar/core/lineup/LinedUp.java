package illuminar.core.lineup;

import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntConsumer;

/**
 * A view in place: every frame found by itself, then the camera's response, then frames of the same
 * light placed once more by it.
 *
 * @param frames ready to be drawn from
 * @param placed how each was found to lie, in the same order
 */
public record LinedUp(Frames frames, List<LineUp.Placed> placed) {
  /** Least difference of exposures, in stops, from which a response can be told. */
  private static final double LEAST = 0.9;

  /**
   * A frame as taken.
   *
   * @param id names it in recipes
   * @param stops exposure
   * @param stopsKnown whether the exposure is in the file or measured, not guessed
   */
  public record Taken(String id, Role role, double stops, boolean stopsKnown, Pyramid pixels) {}

  /**
   * Lines a view up.
   *
   * @param taken frames of equal size
   * @param anchor index of the frame that stays
   * @param progress hears the number of frames done
   */
  public static LinedUp of(List<Taken> taken, int anchor, IntConsumer progress) {
    List<Pyramid> pixels = taken.stream().map(Taken::pixels).toList();
    List<LineUp.Placed> placed = LineUp.find(pixels, anchor, progress);
    List<Frame> frames = frames(taken, placed);
    Response response = response(taken, placed, frames);
    frames = exposed(taken, frames, anchor, response);
    String stays = taken.get(anchor).id();
    if (told(taken, placed).size() > 1) {
      placed = refined(taken, placed, frames, stays, response);
      frames = moved(frames, placed);
    }
    return new LinedUp(new Frames(frames, stays, response), placed);
  }

  private static List<Frame> frames(List<Taken> taken, List<LineUp.Placed> placed) {
    List<Frame> out = new ArrayList<>();
    for (int i = 0; i < taken.size(); i++) {
      Taken t = taken.get(i);
      out.add(new Frame(t.id, t.role, t.stops, placed.get(i).toFrame(), t.pixels));
    }
    return out;
  }

  private static List<Frame> moved(List<Frame> frames, List<LineUp.Placed> placed) {
    List<Frame> out = new ArrayList<>();
    for (int i = 0; i < frames.size(); i++) {
      out.add(frames.get(i).placed(placed.get(i).toFrame()));
    }
    return out;
  }

  /** Frames of the anchor's light get the exposures that their files do not tell. */
  private static List<Frame> exposed(
      List<Taken> taken, List<Frame> frames, int anchor, Response response) {
    List<Integer> alike = new ArrayList<>();
    for (int i = 0; i < taken.size(); i++) {
      if (i == anchor || sameLight(taken.get(i).role)) {
        alike.add(i);
      }
    }
    if (alike.stream().allMatch(i -> taken.get(i).stopsKnown)) {
      return frames;
    }
    boolean[] known = new boolean[alike.size()];
    for (int k = 0; k < known.length; k++) {
      known[k] = taken.get(alike.get(k)).stopsKnown;
    }
    Pyramid any = taken.get(0).pixels;
    double[] stops =
        ExposureEstimate.of(
            alike.stream().map(frames::get).toList(),
            known,
            alike.indexOf(anchor),
            response,
            any.width(),
            any.height());
    List<Frame> out = new ArrayList<>(frames);
    for (int k = 0; k < known.length; k++) {
      out.set(alike.get(k), frames.get(alike.get(k)).exposed(stops[k]));
    }
    return out;
  }

  private static boolean sameLight(Role role) {
    return role == Role.AMBIENT || role == Role.WINDOW;
  }

  /** Frames of the same light and known exposure that are surely in place. */
  private static List<Integer> told(List<Taken> taken, List<LineUp.Placed> placed) {
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i < taken.size(); i++) {
      if (sameLight(taken.get(i).role) && taken.get(i).stopsKnown && placed.get(i).sure()) {
        out.add(i);
      }
    }
    return out;
  }

  private static List<LineUp.Placed> refined(
      List<Taken> taken,
      List<LineUp.Placed> placed,
      List<Frame> frames,
      String anchor,
      Response response) {
    List<Integer> told = told(taken, placed);
    List<LineUp.Placed> better =
        SameLight.refine(
            told.stream().map(frames::get).toList(),
            told.stream().map(placed::get).toList(),
            anchor,
            response,
            LineUp.finest(taken.get(0).pixels));
    List<LineUp.Placed> out = new ArrayList<>(placed);
    for (int k = 0; k < told.size(); k++) {
      out.set(told.get(k), better.get(k));
    }
    return out;
  }

  private static Response response(
      List<Taken> taken, List<LineUp.Placed> placed, List<Frame> frames) {
    if (taken.stream().allMatch(t -> t.pixels.linear())) {
      return Response.standard();
    }
    List<Frame> bracket = told(taken, placed).stream().map(frames::get).toList();
    double lo = bracket.stream().mapToDouble(Frame::stops).min().orElse(0);
    double hi = bracket.stream().mapToDouble(Frame::stops).max().orElse(0);
    if (bracket.size() < 2 || hi - lo < LEAST) {
      return Response.srgb();
    }
    Pyramid any = taken.get(0).pixels;
    return ResponseEstimate.of(bracket, any.width(), any.height());
  }
}
