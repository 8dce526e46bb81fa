package illuminar.core.pass.kinds;

import illuminar.core.pass.Move;
import illuminar.core.pass.PassKind;
import java.util.List;

/**
 * All kinds of passes in the order of work, one line a kind. What a kind is called, where it
 * belongs and how it reads stands on its record.
 */
public final class Catalogue {

  /**
   * Burnt light is restored before a view is brought in beside it, so that the view's edge goes on
   * from what was restored.
   */
  private static final List<Class<? extends Move>> KINDS =
      List.of(
          RestoreLight.class,
          BringFrame.class,
          ShowView.class,
          LayFrame.class,
          MixLight.class,
          ShareFlash.class,
          Glow.class,
          Tone.class,
          Levels.class,
          ToneCurve.class,
          Fill.class,
          ClearCasts.class,
          Colour.class,
          HueBand.class,
          WarmCool.class,
          Wash.class,
          ClearHaze.class,
          Balance.class,
          EvenOut.class,
          LiftShadow.class,
          Heal.class,
          TakeOut.class,
          Unmirror.class,
          CloneOver.class,
          DodgeBurn.class,
          ReduceNoise.class,
          Detail.class,
          Smooth.class,
          Sharpen.class,
          Calm.class,
          Vignette.class);

  private Catalogue() {}

  public static List<PassKind> kinds() {
    return KINDS.stream().map(PassKind::of).toList();
  }

  /** Where a kind of move stands in the order of work. */
  public static int rank(Move move) {
    return KINDS.indexOf(move.getClass());
  }
}
