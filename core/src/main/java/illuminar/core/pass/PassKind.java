package illuminar.core.pass;

import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.control.Numbers;
import illuminar.core.control.Records;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A kind of pass as its record describes it.
 *
 * @param gate the tones that it begins with
 * @param frames names of the components that take a frame's id
 */
public record PassKind(
    String id,
    String name,
    Stage stage,
    String help,
    String sentence,
    List<String> says,
    boolean asksRegion,
    boolean relights,
    boolean framed,
    boolean bothWays,
    Gate gate,
    Class<? extends Move> type,
    List<Numbers.NumberControl> controls,
    List<String> frames,
    List<Choice> choices) {

  /** One closed choice of a kind of pass. */
  public record Choice(String name, List<String> options) {}

  private static final ClassValue<PassKind> KINDS =
      new ClassValue<>() {
        @Override
        protected PassKind computeValue(Class<?> type) {
          return described(type.asSubclass(Move.class));
        }
      };

  /**
   * @throws IllegalArgumentException if the record carries no {@link Kind}
   */
  public static PassKind of(Class<? extends Move> type) {
    return KINDS.get(type);
  }

  public static PassKind of(Move move) {
    return of(move.getClass());
  }

  /**
   * The control of a pass that mends a fault which the pass makes: of those that stand where they
   * make it, the one farthest from its default.
   *
   * @param everywhere whether the pass works on the whole picture
   */
  public static Optional<String> mending(Fault fault, Move move, boolean everywhere) {
    PassKind kind = of(move);
    return Arrays.stream(kind.type.getAnnotation(Kind.class).mends())
        .filter(m -> m.fault() == fault && (everywhere || !m.everywhereOnly()))
        .filter(m -> kind.stands(move, m))
        .map(Mends::control)
        .max(Comparator.comparingDouble(c -> Math.abs(kind.off(move, c))));
  }

  private boolean stands(Move move, Mends mends) {
    double off = off(move, mends.control());
    return switch (mends.side()) {
      case ANY -> true;
      case ABOVE -> off > 0;
      case BELOW -> off < 0;
      case OFF -> off != 0;
    };
  }

  /** How far a control stands from its default, as a share of its range. */
  private double off(Move move, String control) {
    Numbers.NumberControl number =
        controls.stream().filter(n -> n.name().equals(control)).findFirst().orElseThrow();
    return (number(move, control) - number.defaultValue()) / (number.to() - number.from());
  }

  /** The value of a numeric control. */
  public double number(Move move, String control) {
    return ((Number) component(move, control)).doubleValue();
  }

  /** The value of any component, by its name. */
  public Object component(Move move, String name) {
    for (RecordComponent c : type.getRecordComponents()) {
      if (c.getName().equals(name)) {
        try {
          return c.getAccessor().invoke(move);
        } catch (ReflectiveOperationException e) {
          throw new IllegalStateException(e);
        }
      }
    }
    throw new IllegalArgumentException(id + " has no " + name);
  }

  /** The ids of the frames that a pass takes light from. */
  public List<String> framesOf(Move move) {
    return frames.stream()
        .map(name -> (String) component(move, name))
        .filter(frame -> !frame.isEmpty())
        .toList();
  }

  /** The same move with light from other frames; names of no frame stay empty. */
  public Move lit(Move move, UnaryOperator<String> other) {
    Map<String, String> changed = new HashMap<>();
    for (String name : frames) {
      String frame = (String) component(move, name);
      if (!frame.isEmpty()) {
        changed.put(name, other.apply(frame));
      }
    }
    return Records.with(move, changed);
  }

  private static Gate gate(int[] tones) {
    return tones.length == 0
        ? Gate.ALL
        : new Gate(stops(tones[0]), stops(tones[1]), stops(tones[2]), stops(tones[3]));
  }

  /** The tone of a grey of an sRGB code, rounded as hands set it; black is below every tone. */
  private static double stops(int code) {
    return code == 0
        ? Gate.ALL.from()
        : Math.rint(1000 * Stops.of((float) Srgb.decode(code / 255.0))) / 1000;
  }

  private static PassKind described(Class<? extends Move> type) {
    Kind kind = type.getAnnotation(Kind.class);
    if (kind == null) {
      throw new IllegalArgumentException(type.getSimpleName() + " says no kind");
    }
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
    return new PassKind(
        kind.id(),
        kind.name(),
        kind.stage(),
        kind.help(),
        kind.sentence(),
        List.of(kind.says()),
        kind.asksRegion(),
        kind.relights(),
        kind.framed(),
        kind.bothWays(),
        gate(kind.tones()),
        type,
        Numbers.of(type),
        List.copyOf(frames),
        List.copyOf(choices));
  }
}
