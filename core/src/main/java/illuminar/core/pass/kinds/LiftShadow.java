package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.ShadowLift;

/**
 * Lifts the hard shadow of something that keeps the sun or a lamp away until it meets the lit side,
 * in brightness and in colour, through its penumbra, on every surface by what that has lost. See
 * {@link illuminar.core.shadow.HardShadow}.
 *
 * @param lift share of the shadow that is taken away
 * @param colour share of the light's colour that comes back, the rest is brightness alone
 * @param penumbra factor on the width that is found
 * @param evenness share by which places with less light left are lifted more
 */
@Kind(
    id = "shadow",
    name = "Lift a hard shadow",
    stage = Stage.MEND,
    help = "Brings a shadow up to the light beside it; loop it generously",
    sentence = "Lift the hard shadow in {region} by {lift}",
    says = {"its colour by {colour}", "through {penumbra} its penumbra", "evened by {evenness}"},
    asksRegion = true,
    relights = true)
public record LiftShadow(
    @Control(
            label = "Lift",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "100 % meets the lit side")
        double lift,
    @Control(
            label = "Colour",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "The lit side's; 0 % lifts brightness alone")
        double colour,
    @Control(
            label = "Penumbra",
            unit = "×",
            from = 0.25,
            to = 4,
            step = 0.05,
            defaultValue = 1,
            help = "Wider or narrower than found")
        double penumbra,
    @Control(
            label = "Evenness",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "Corners with less light left are lifted more")
        double evenness)
    implements Move {

  public LiftShadow {
    Numbers.check(LiftShadow.class, "lift", lift);
    Numbers.check(LiftShadow.class, "colour", colour);
    Numbers.check(LiftShadow.class, "penumbra", penumbra);
    Numbers.check(LiftShadow.class, "evenness", evenness);
  }

  /** Finds the shadow on the analysis grid. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return ShadowLift.of(below, (float) lift, (float) colour, (float) penumbra, (float) evenness);
  }
}
