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
 * Takes a spot, a line or a small thing out of a surface: its place shows a piece of the picture
 * near by, made to meet what lies about it in brightness and colour (Poisson blending: Pérez,
 * Gangnet, Blake 2003). Every stroke of the region is mended from pieces that meet its rim and each
 * other where it is seen least ({@link illuminar.core.mend.Assembly}); a source that is placed
 * serves all of them whole.
 *
 * @param across way from the place to its source, share of the long edge
 * @param down likewise
 */
@Kind(
    id = "heal",
    name = "Heal",
    stage = Stage.MEND,
    help = "Takes spots, cables and marks out of a surface; brush over them",
    sentence = "Heal {region}",
    says = {"from {across:to the right|to the left}", "from {down:below|above}"},
    asksRegion = true)
public record Heal(
    @Control(
            label = "Source across",
            unit = "%",
            from = -1,
            to = 1,
            step = 0.001,
            defaultValue = 0,
            help = "Both 0: pieces that fit, from near by")
        double across,
    @Control(label = "Source down", unit = "%", from = -1, to = 1, step = 0.001, defaultValue = 0)
        double down)
    implements Move {

  public Heal {
    Numbers.check(Heal.class, "across", across);
    Numbers.check(Heal.class, "down", down);
  }

  /** Finds the sources and what they have to be brightened by. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return Borrowed.of(below, across, down, true);
  }
}
