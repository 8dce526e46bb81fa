package illuminar.core.pass;

import illuminar.core.render.Below;
import illuminar.core.render.Ready;

/** What a pass does: data only. Every kind is listed in {@link Catalogue}. */
public sealed interface Move
    permits Balance,
        BringFrame,
        Calm,
        ClearCasts,
        ClearHaze,
        Colour,
        EvenOut,
        LayFrame,
        MixLight,
        RestoreLight,
        ShareFlash,
        Tone,
        Detail,
        Fill,
        Glow,
        HueBand,
        Levels,
        ToneCurve,
        Wash {

  /** Looks at the picture below and makes everything ready to work on tiles. */
  Ready prepare(Below below);
}
