package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Panes;
import illuminar.core.colour.Burnt;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Glow;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Ellipse;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A soft ellipse about every lamp, all in one region. Each is a little larger or smaller than the
 * last, so that none is an exact copy (common practice, no source).
 */
final class GlowProposer implements Proposer {
  /** Shares of the picture between which a burnt spot may be a lamp. */
  private static final double LEAST = 0.00003;

  private static final double MOST = 0.012;

  /** Share of the box round it that a lamp fills at least; reveals and reflections straggle. */
  private static final double COMPACT = 0.35;

  private static final int MANY = 12;

  /** A glow's size against its lamp's, and its least half width as a share of the long edge. */
  private static final double WIDER = 2.6;

  private static final double SMALLEST = 0.03;
  private static final double[] VARIED = {1, 1.12, 0.92, 1.06, 0.96};

  /** Left, top, right and bottom of a lamp, and its pixels. */
  private record Spot(int x0, int y0, int x1, int y1, int pixels) {}

  /** A matter of taste. */
  @Override
  public boolean whenAsked() {
    return true;
  }

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Analysis analysis = session.analysis();
    List<Spot> lamps = lamps(analysis);
    if (lamps.isEmpty()) {
      return Proposal.none(recipe, "No lamp is found: nothing small is burnt in the room's frame.");
    }
    int longEdge = Math.max(analysis.raster().width(), analysis.raster().height());
    List<Part> parts = new ArrayList<>();
    for (int k = 0; k < lamps.size(); k++) {
      parts.add(
          Draft.add("lamp" + (k + 1), glow(lamps.get(k), VARIED[k % VARIED.length], longEdge)));
    }
    Draft draft = new Draft(recipe);
    Region region = draft.region("lamp-glow", "Lamp glow", parts.toArray(Part[]::new));
    String why =
        lamps.size() == 1
            ? "One lamp burns in the room's frame; its ellipse can be moved and copied."
            : lamps.size() + " lamps burn in the room's frame; each has one ellipse.";
    draft.pass("glow", new Glow(0.2, 18, 0.4), new Where(region.id(), false), 1, why);
    return new Proposal(draft.done(), why);
  }

  private static Shape glow(Spot s, double by, int longEdge) {
    double cx = (s.x0 + s.x1 + 1) / 2.0 / longEdge;
    double cy = (s.y0 + s.y1 + 1) / 2.0 / longEdge;
    double wide = Math.max(SMALLEST, WIDER * (s.x1 - s.x0 + 1) / 2.0 / longEdge) * by;
    double high = Math.max(SMALLEST, WIDER * (s.y1 - s.y0 + 1) / 2.0 / longEdge) * by;
    return new Ellipse(new Point(cx, cy), wide, high, 0, 0.9);
  }

  /** The largest burnt spots of the anchor frame that may be lamps, windows left out. */
  private static List<Spot> lamps(Analysis analysis) {
    Picture p = analysis.draw(analysis.frames().anchor(), analysis.raster());
    float[] panes = Panes.of(analysis).draw(analysis.raster());
    List<Spot> found = new ArrayList<>();
    for (int[] pixels :
        FloodFill.all(
            p.width(), p.height(), true, i -> panes[i] <= 0 && p.mostAt(i) > Burnt.LAMP)) {
      Spot spot = spot(pixels, p);
      double share = (double) spot.pixels / panes.length;
      int box = (spot.x1 - spot.x0 + 1) * (spot.y1 - spot.y0 + 1);
      if (share > LEAST && share < MOST && spot.pixels > COMPACT * box) {
        found.add(spot);
      }
    }
    found.sort(Comparator.comparingInt(Spot::pixels).reversed());
    return found.subList(0, Math.min(MANY, found.size()));
  }

  private static Spot spot(int[] pixels, Picture p) {
    int x0 = p.width();
    int y0 = p.height();
    int x1 = 0;
    int y1 = 0;
    for (int i : pixels) {
      x0 = Math.min(x0, i % p.width());
      x1 = Math.max(x1, i % p.width());
      y0 = Math.min(y0, i / p.width());
      y1 = Math.max(y1, i / p.width());
    }
    return new Spot(x0, y0, x1, y1, pixels.length);
  }
}
