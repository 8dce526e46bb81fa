package illuminar.core.pass;

import illuminar.core.control.Numbers;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * All kinds of moves with their controls, in the order of work. The interface draws what it offers
 * from this list.
 */
public final class Catalogue {

  /**
   * One kind of move.
   *
   * @param kind its name in recipes
   * @param stage the stage of the recipe that it belongs to
   * @param sentence how it reads; words in braces are controls, and {frame}, {region}, {gate},
   *     {strength}
   * @param asksRegion whether it wants a region first because it is usually wrong everywhere
   * @param frames names of what takes a frame's id
   */
  public record Kind(
      String kind,
      String name,
      String stage,
      String sentence,
      boolean asksRegion,
      Class<? extends Move> type,
      List<Numbers.Number> controls,
      List<String> frames,
      List<Choice> choices) {}

  /** One closed choice of a kind of move. */
  public record Choice(String name, List<String> options) {}

  /**
   * In the order of work. Burnt light is restored before a view is brought in beside it, so that
   * the view's edge goes on from what was restored.
   */
  private static final List<Kind> KINDS =
      List.of(
          kind(
              "restore-light",
              "Restore burnt light",
              "Windows",
              "Restore light in {region} from {frame}, brightest at {brightest}, on {gate}, at"
                  + " {strength}.",
              true,
              RestoreLight.class),
          kind(
              "bring-frame",
              "Bring in a frame",
              "Windows",
              "Bring {frame} into {region} on {gate}, {over} over the room, at {strength}.",
              true,
              BringFrame.class),
          kind(
              "lay-frame",
              "Lay a frame over",
              "Lights",
              "Lay {frame} over {region} as {mode}, exposure {exposure}, on {gate}, at {strength}.",
              true,
              LayFrame.class),
          kind(
              "mix-light",
              "Mix a light",
              "Lights",
              "Mix {with} less {without} at {light}, {warmer} warmer, on {region}, {gate}, at"
                  + " {strength}.",
              false,
              MixLight.class),
          kind(
              "share-flash",
              "Share flash and ambient",
              "Lights",
              "Share {flash} with {ambient}, {share} flash, {colour} of its colour, on {region},"
                  + " {gate}, at {strength}.",
              false,
              ShareFlash.class),
          kind(
              "glow",
              "Glow of lamps",
              "Lights",
              "Let {region} glow by {light}, {warmer} warmer, softened {soften}, on {gate}, at"
                  + " {strength}.",
              true,
              Glow.class),
          kind(
              "tone",
              "Tone",
              "Tone",
              "Exposure {exposure}, contrast {contrast}, highlights {highlights}, midtones"
                  + " {midtones}, shadows {shadows} on {region}, {gate}, at {strength}.",
              false,
              Tone.class),
          kind(
              "levels",
              "White and black point",
              "Tone",
              "White at {white}, black at {black}, gamma {gamma} by {on} on {region}, {gate}, at"
                  + " {strength}.",
              false,
              Levels.class),
          kind(
              "curve",
              "Curve",
              "Tone",
              "Curve by {on} on {region}, {gate}, at {strength}.",
              false,
              ToneCurve.class),
          kind(
              "fill",
              "Fill",
              "Tone",
              "Fill what is darker than {upTo} by {amount}, local contrast {contrast}, saturation"
                  + " {saturation}, on {region}, {gate}, at {strength}.",
              false,
              Fill.class),
          kind(
              "clear-casts",
              "Clear casts",
              "Colour",
              "Clear casts by {source} out of {region} by {amount}, {warmth} of the lamps' warmth"
                  + " kept, on {gate}, at {strength}.",
              false,
              ClearCasts.class),
          kind(
              "colour",
              "White and colour",
              "Colour",
              "White {warmer} warmer, tint {tint}, saturation {saturation} on {region}, {gate}, at"
                  + " {strength}.",
              false,
              Colour.class),
          kind(
              "hue-band",
              "Hue band",
              "Colour",
              "Hues {width} about {hue}: saturation {saturation}, lightness {lightness}, turned"
                  + " {turn}, on {region}, {gate}, at {strength}.",
              false,
              HueBand.class),
          kind(
              "wash",
              "Wash",
              "Colour",
              "Wash {region} with hue {hue}, saturation {saturation}, by {amount}, on {gate}, at"
                  + " {strength}.",
              true,
              Wash.class),
          kind(
              "clear-haze",
              "Clear haze",
              "Air",
              "Clear {amount} of the haze in {region}, saturation {saturation}, local contrast"
                  + " {contrast}, on {gate}, at {strength}.",
              true,
              ClearHaze.class),
          kind(
              "balance",
              "Balance",
              "Balance",
              "Bring {region} by {light}, {warmer} warmer, tint {tint}, saturation {saturation}, on"
                  + " {gate}, at {strength}.",
              true,
              Balance.class),
          kind(
              "even-out",
              "Even out",
              "Balance",
              "Even out the light along {region} by {amount} over {reach}, on {gate}, at {strength}.",
              true,
              EvenOut.class),
          kind(
              "detail",
              "Detail",
              "Finish",
              "Local contrast {contrast}, fine detail {fine} on {region}, {gate}, at {strength}.",
              true,
              Detail.class),
          kind(
              "calm",
              "Calm",
              "Finish",
              "Calm {region} back to {frame} on {gate}, at {strength}.",
              false,
              Calm.class));

  private Catalogue() {}

  public static List<Kind> kinds() {
    return KINDS;
  }

  public static Kind of(Move move) {
    return KINDS.stream().filter(k -> k.type() == move.getClass()).findFirst().orElseThrow();
  }

  /** Where a kind of move stands in the order of work. */
  public static int rank(Move move) {
    return KINDS.indexOf(of(move));
  }

  private static Kind kind(
      String kind,
      String name,
      String stage,
      String sentence,
      boolean asks,
      Class<? extends Move> type) {
    List<String> frames = new ArrayList<>();
    List<Choice> choices = new ArrayList<>();
    for (RecordComponent c : type.getRecordComponents()) {
      if (c.getType() == String.class) {
        frames.add(c.getName());
      } else if (c.getType().isEnum()) {
        choices.add(
            new Choice(
                c.getName(),
                Arrays.stream(c.getType().getEnumConstants()).map(Object::toString).toList()));
      }
    }
    return new Kind(kind, name, stage, sentence, asks, type, Numbers.of(type), frames, choices);
  }
}
