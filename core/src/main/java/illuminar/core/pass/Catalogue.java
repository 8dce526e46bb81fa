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

  private static final List<Kind> KINDS =
      List.of(
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
              "tone",
              "Tone",
              "Tone",
              "Exposure {exposure}, contrast {contrast}, highlights {highlights}, shadows {shadows}"
                  + " on {region}, {gate}, at {strength}.",
              false,
              Tone.class));

  private Catalogue() {}

  public static List<Kind> kinds() {
    return KINDS;
  }

  public static Kind of(Move move) {
    return KINDS.stream().filter(k -> k.type() == move.getClass()).findFirst().orElseThrow();
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
