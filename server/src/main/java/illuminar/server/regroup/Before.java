package illuminar.server.regroup;

import illuminar.core.frame.Similarity;
import illuminar.core.picture.Point;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.View;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;

/**
 * A view as it was lined up, before its frames are arranged anew.
 *
 * @param frames that it had, as they lay
 */
record Before(View view, List<FrameRow> frames) {

  /** Where its places are once it has another anchor, as far as its line-up tells. */
  Optional<UnaryOperator<Point>> carried(UUID anchor) {
    if (anchor.equals(view.anchorId())) {
      return Optional.of(UnaryOperator.identity());
    }
    return frames.stream()
        .filter(f -> f.id().equals(anchor) && f.sure())
        .findFirst()
        .map(FrameRow::toFrame)
        .map(this::by);
  }

  private UnaryOperator<Point> by(Similarity move) {
    return move.isNone()
        ? UnaryOperator.identity()
        : p -> move.carry(p, view.width(), view.height());
  }

  /** Of other frames the one of the same role whose exposure comes nearest to one that is gone. */
  Optional<String> nearest(String gone, List<FrameRow> others) {
    return frames.stream()
        .filter(f -> f.id().toString().equals(gone))
        .findFirst()
        .flatMap(
            was ->
                others.stream()
                    .filter(f -> f.role() == was.role())
                    .min(Comparator.comparingDouble(f -> Math.abs(f.stops() - was.stops()))))
        .map(f -> f.id().toString());
  }
}
