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
 * Takes a large thing out: a light stand, a tripod's reflection, a cable across boards. Its place
 * is put together from pieces of what lies about it, and lines that ran behind it go on ({@link
 * illuminar.core.mend.Assembly}).
 *
 * @param reach how far about a place pieces are taken from, by the place's size
 */
@Kind(
    id = "take-out",
    name = "Take out",
    stage = Stage.MEND,
    help = "A stand, a cable across boards, a stain over an edge; brush over them",
    sentence = "Take {region} out, filled from what lies about it",
    says = {"from within {reach} its size"},
    asksRegion = true)
public record TakeOut(
    @Control(
            label = "Taken from",
            unit = "×",
            from = 0.5,
            to = 4,
            step = 0.1,
            defaultValue = 1.5,
            help = "How far about it, by its own size; another figure, another filling")
        double reach)
    implements Move {

  public TakeOut {
    Numbers.check(TakeOut.class, "reach", reach);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return Borrowed.pieces(below, reach);
  }
}
