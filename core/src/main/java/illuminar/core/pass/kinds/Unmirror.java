package illuminar.core.pass.kinds;

import illuminar.core.analysis.window.Reflections;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.MirrorOff;

/**
 * Takes off what glass or gloss mirrors, as a pair of frames tells it of which one lacks the light
 * that is mirrored. See {@link Reflections}.
 *
 * @param surface that mirrors
 * @param off share of the reflection that is taken off
 */
@Kind(
    id = "reflections",
    name = "Take reflections off",
    stage = Stage.MEND,
    help = "What glass or gloss mirrors; needs a lamps-off or a flash frame that tells it",
    sentence = "Take {off} of what {surface} mirrors off {region}",
    asksRegion = true,
    relights = true)
public record Unmirror(
    Reflections.Surface surface,
    @Control(
            label = "Taken off",
            unit = "%",
            from = 0,
            to = 1.5,
            step = 0.01,
            defaultValue = 1,
            help = "100 % is as much as the frames tell")
        double off)
    implements Move {

  public Unmirror {
    Numbers.check(Unmirror.class, "off", off);
  }

  /** Finds what is mirrored on the analysis grid. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return MirrorOff.of(below, surface, (float) off);
  }
}
