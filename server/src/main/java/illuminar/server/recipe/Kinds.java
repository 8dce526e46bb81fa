package illuminar.server.recipe;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Catalogue;
import illuminar.core.pass.Move;
import illuminar.core.region.Shape;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What each closed choice in a recipe is called in its {@code kind}. */
public final class Kinds {
  private Kinds() {}

  /** The kinds of ground, shape or move, by type, in the order in which the core lists them. */
  public static Map<Class<?>, String> of(Class<?> choice) {
    Map<Class<?>, String> kinds = new LinkedHashMap<>();
    if (choice == Move.class) {
      Catalogue.kinds().forEach(k -> kinds.put(k.type(), k.kind()));
    } else {
      for (Class<?> type : choice.getPermittedSubclasses()) {
        kinds.put(type, dashed(type.getSimpleName()));
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
