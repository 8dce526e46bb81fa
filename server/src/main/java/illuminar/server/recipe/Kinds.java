package illuminar.server.recipe;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Move;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Parts;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What each closed choice in a recipe is called in its {@code kind}. */
public final class Kinds {
  private Kinds() {}

  /**
   * The kinds of ground, shape, move or message, by type, in the order in which the core lists
   * them.
   */
  public static Map<Class<?>, String> of(Class<?> choice) {
    Map<Class<?>, String> kinds = new LinkedHashMap<>();
    if (choice == Move.class) {
      Catalogue.kinds().forEach(k -> kinds.put(k.type(), k.id()));
    } else if (choice == Shape.class) {
      Parts.kinds().forEach(t -> kinds.put(t, t.getAnnotation(PartKind.class).id()));
    } else if (choice.isAnnotationPresent(JsonSubTypes.class)) {
      for (JsonSubTypes.Type type : choice.getAnnotation(JsonSubTypes.class).value()) {
        kinds.put(type.value(), type.name());
      }
    } else {
      for (Class<?> type : choice.getPermittedSubclasses()) {
        if (type.isSealed()) {
          kinds.putAll(of(type));
        } else {
          kinds.put(type, dashed(type.getSimpleName()));
        }
      }
    }
    return kinds;
  }

  /** The types among which a recipe chooses. */
  public static List<Class<?>> choices() {
    return List.of(Ground.class, Shape.class, Move.class);
  }

  private static String dashed(String name) {
    return name.replaceAll("(?<=.)([A-Z])", "-$1").toLowerCase(Locale.ROOT);
  }
}
