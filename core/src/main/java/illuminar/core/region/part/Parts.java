package illuminar.core.region.part;

import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import java.util.List;

/** All kinds of parts, one line a kind. */
public final class Parts {
  private static final List<Class<? extends Shape>> KINDS =
      List.of(
          Outline.class,
          Loop.class,
          Ramp.class,
          Ellipse.class,
          Panel.class,
          Brush.class,
          ToneBand.class,
          ColourBand.class,
          SimilarColour.class,
          WindowFinder.class,
          Glazing.class,
          HandWindow.class,
          BurntLight.class,
          Moving.class,
          FlashTrouble.class,
          OtherRegion.class);

  private Parts() {}

  /** The records of all kinds, each with a {@link PartKind}. */
  public static List<Class<? extends Shape>> kinds() {
    return KINDS;
  }
}
