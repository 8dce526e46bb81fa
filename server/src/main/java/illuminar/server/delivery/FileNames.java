package illuminar.server.delivery;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** Names of finished files: a view's name, its size where it is not the full one, and unique. */
final class FileNames {
  private FileNames() {}

  /**
   * Names without ending for all views of an order. The same order gets the same names.
   *
   * @param names of the views by their ids, in the order's order
   * @param longEdge pixels, 0 for full size
   */
  static Map<UUID, String> of(Map<UUID, String> names, int longEdge) {
    Map<UUID, String> out = new LinkedHashMap<>();
    Set<String> taken = new HashSet<>();
    names.forEach(
        (view, name) -> {
          String stem = plain(name) + (longEdge == 0 ? "" : "-" + longEdge + "px");
          String free = stem;
          for (int k = 2; !taken.add(free.toLowerCase(Locale.ROOT)); k++) {
            free = stem + "-" + k;
          }
          out.put(view, free);
        });
    return out;
  }

  private static String plain(String name) {
    String plain = name.replaceAll("[^\\p{L}\\p{N} _-]", "").strip().replace(' ', '-');
    return plain.isEmpty() ? "view" : plain;
  }
}
