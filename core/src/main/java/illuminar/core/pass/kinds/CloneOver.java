package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.Borrowed;

/**
 * Covers a place with another piece of the picture as it is: along an edge that healing would
 * smear, or to show something twice. Common practice.
 *
 * @param across way from the place to its source, share of the long edge
 * @param down likewise
 */
@Kind(
    id = "clone",
    name = "Clone",
    stage = Stage.MEND,
    help = "A place covered by another piece of the picture, as it is",
    sentence = "Clone over {region}",
    says = {"from {across:to the right|to the left}", "from {down:below|above}"},
    asksRegion = true)
public record CloneOver(
    @Control(
            label = "Source across",
            unit = "%",
            from = -1,
            to = 1,
            step = 0.001,
            defaultValue = 0.05,
            neutral = 0,
            help = "Both 0: the place most alike")
        double across,
    @Control(label = "Source down", unit = "%", from = -1, to = 1, step = 0.001, defaultValue = 0)
        double down)
    implements Move {

  public CloneOver {
    Numbers.check(CloneOver.class, "across", across);
    Numbers.check(CloneOver.class, "down", down);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return Borrowed.of(below, across, down, false);
  }
}
