package illuminar.core.recipe;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.Panes;
import illuminar.core.frame.Frame;
import illuminar.core.ground.Ground;
import illuminar.core.pass.BringFrame;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import java.util.List;

/** The recipe that a view opens with: an even blend, and the windows where some are found. */
public final class FirstRecipe {
  private FirstRecipe() {}

  public static Recipe of(Analysis analysis) {
    List<Frame> ambient = analysis.frames().ambient();
    String anchor = analysis.frames().anchor();
    Ground ground =
        ambient.size() < 2
            ? new Ground.OneFrame(anchor)
            : new Ground.EvenBlend(
                ambient.stream().map(Frame::id).toList(), 1, 1, 1, true, List.of(), 0, anchor);
    if (ambient.size() < 2) {
      return new Recipe(ground, List.of(), List.of());
    }
    Panes panes = analysis.panes();
    if (panes.count() == 0) {
      return new Recipe(ground, List.of(), List.of());
    }
    Region region =
        new Region(
            "window-panes",
            "Window panes",
            List.of(new Part("panes", Part.Combine.ADD, new Shape.WindowFinder(0))),
            0,
            false);
    String why =
        String.format(
            java.util.Locale.ROOT,
            "%d panes, %.1f %% of the picture, are burnt in the room's frame and clear in this one.",
            panes.count(),
            100 * panes.share());
    Pass windows =
        new Pass(
            "windows",
            true,
            new BringFrame(panes.windowFrame(), 0.9, 4),
            new Where(region.id(), false),
            Gate.ALL,
            1,
            why);
    return new Recipe(ground, List.of(region), List.of(windows));
  }
}
