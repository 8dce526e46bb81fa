package illuminar.core.watch;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.List;

/**
 * The thin lines that the frames of a view and their light have, and which of a picture's are new
 * beside them ({@link Ridges}). Worked out anew for each look; it holds two planes a frame.
 */
public final class NewLines {
  /** Long edge of the picture that is looked over. */
  private static final int LONG_EDGE = 960;

  /** How well a frame must show a pixel for a line to be its own, 0 to 1. */
  private static final float SHOWS = 0.3f;

  private final Raster raster;
  private final List<Ridges.There> there = new ArrayList<>();
  private final Plane light;

  /** Reads the frames' lines. */
  public NewLines(Analysis analysis) {
    raster = raster(analysis);
    light = light(analysis);
  }

  /** The pixels of a view's picture that are looked over for faults. */
  static Raster raster(Analysis analysis) {
    return Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
  }

  /** The pixels that are looked over. */
  Raster raster() {
    return raster;
  }

  /** Light of the scene, in stops, each frame counting by how well it shows a pixel. */
  Plane light() {
    return light;
  }

  /** Places on new lines of a picture whose lightness this is, L*. */
  List<Ridges.Place> in(Plane lightness) {
    return Ridges.of(lightness, there);
  }

  /**
   * How many pixels of a recipe's picture lie on new lines.
   *
   * @param moving id of the pass that is being tried: what stands below it is kept for the next try
   */
  public int count(PreviewSession session, Recipe recipe, String moving) {
    Picture p = session.draft(recipe, raster, moving);
    return in(new Plane(p.width(), p.height(), LabPlanes.of(p).l())).size();
  }

  /** Each frame's own lines and what it shows go to {@link #there}. */
  private Plane light(Analysis analysis) {
    List<Frame> all = new ArrayList<>(analysis.frames().ambient());
    Frame window = analysis.frames().windowFrame();
    if (!all.contains(window)) {
      all.add(window);
    }
    if (all.isEmpty()) {
      all.add(analysis.frames().anchorFrame());
    }
    Response response = analysis.frames().response();
    Plane sum = Plane.of(raster.width(), raster.height());
    float[] weights = new float[sum.data().length];
    for (Frame f : all) {
      Picture p = analysis.draw(f.id(), raster);
      Plane own = Plane.of(raster.width(), raster.height());
      Plane shown = Plane.of(raster.width(), raster.height());
      for (int i = 0; i < weights.length; i++) {
        float most = p.mostAt(i);
        float tone = Space.srgbLuminance(p.r()[i], p.g()[i], p.b()[i]);
        float weight = Math.max(1e-4f, Math.min(1, tone * 12) * Math.min(1, (1 - most) * 12));
        float stops =
            Stops.of(response.luminance(p.r()[i], p.g()[i], p.b()[i])) - (float) f.stops();
        // what a frame hardly shows is noise, of which no line is made
        own.data()[i] = weight > SHOWS ? stops : Float.NaN;
        shown.data()[i] = LabPlanes.lightness(tone);
        sum.data()[i] += weight * stops;
        weights[i] += weight;
      }
      there.add(Ridges.There.light(own));
      there.add(Ridges.There.frame(shown));
    }
    for (int i = 0; i < weights.length; i++) {
      sum.data()[i] /= weights[i];
    }
    there.add(Ridges.There.light(sum));
    return sum;
  }
}
