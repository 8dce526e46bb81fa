package illuminar.server.delivery;

import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** Names of finished files: a view's name, its size where it is not the full one, and unique. */
final class FileNames {
  /** Bytes of a view's name; file systems take 255 for all of a file's name, in UTF-8. */
  private static final int MOST = 180;

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
    String plain = name.replaceAll("[^\\p{L}\\p{M}\\p{N} _-]", "").strip().replace(' ', '-');
    return plain.isEmpty() ? "view" : cut(plain);
  }

  /** As many whole characters as fit. */
  private static String cut(String name) {
    StringBuilder out = new StringBuilder();
    int bytes = 0;
    for (int c : name.codePoints().toArray()) {
      bytes += Character.toString(c).getBytes(StandardCharsets.UTF_8).length;
      if (bytes > MOST) {
        break;
      }
      out.appendCodePoint(c);
    }
    return out.toString();
  }
}
