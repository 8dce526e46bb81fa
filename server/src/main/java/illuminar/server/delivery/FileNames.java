package illuminar.server.delivery;

import illuminar.server.delivery.format.NamePattern;
import illuminar.server.delivery.format.Specification;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** Names of finished files by the patterns of their specifications, each once in an order. */
final class FileNames {
  /** Bytes of a name without its ending; file systems take 255 for all of it, in UTF-8. */
  private static final int MOST = 180;

  private FileNames() {}

  /** A view in the order of delivery. */
  record Named(UUID view, String name, String date) {}

  /** A file's name, and what its pattern's words stood for. */
  record Name(String name, NamePattern.Told told) {}

  /**
   * Names for each view, one for each specification. The same order gets the same names.
   *
   * @param endings of the specifications' files
   */
  static Map<UUID, List<Name>> of(
      List<Named> views, String shoot, List<Specification> specifications, List<String> endings) {
    int digits = Math.max(2, Integer.toString(views.size()).length());
    Map<UUID, List<Name>> out = new LinkedHashMap<>();
    Set<String> taken = new HashSet<>();
    for (Named view : views) {
      String n = String.format(Locale.ROOT, "%0" + digits + "d", out.size() + 1);
      List<Name> names = new ArrayList<>();
      for (Specification as : specifications) {
        NamePattern.Told told =
            new NamePattern.Told(view.name(), shoot, n, as.size().said(), view.date());
        String ending = endings.get(names.size());
        String stem = plain(NamePattern.filled(as.pattern(), told));
        names.add(new Name(free(stem, ending, taken), told));
      }
      out.put(view.view(), names);
    }
    return out;
  }

  private static String free(String stem, String ending, Set<String> taken) {
    String free = stem + "." + ending;
    for (int k = 2; !taken.add(free.toLowerCase(Locale.ROOT)); k++) {
      free = stem + "-" + k + "." + ending;
    }
    return free;
  }

  /**
   * Refuses patterns by which files could not be told apart.
   *
   * @throws IllegalArgumentException that names the specifications
   */
  static void check(int views, List<Specification> specifications, List<String> endings) {
    for (int s = 0; s < specifications.size(); s++) {
      Specification one = specifications.get(s);
      if (views > 1 && !NamePattern.tellsViewsApart(one.pattern())) {
        throw new IllegalArgumentException(
            "%s gives all %d views the same name: put {view} or {n} into its name pattern."
                .formatted(one.name(), views));
      }
      for (int t = 0; t < s; t++) {
        Specification other = specifications.get(t);
        if (endings.get(s).equals(endings.get(t)) && alike(one, other)) {
          throw new IllegalArgumentException(
              "%s and %s give the same file names: change one of their name patterns."
                  .formatted(other.name(), one.name()));
        }
      }
    }
  }

  private static boolean alike(Specification a, Specification b) {
    return filledAlone(a).equals(filledAlone(b));
  }

  private static String filledAlone(Specification as) {
    return NamePattern.filled(
        as.pattern(), new NamePattern.Told("{view}", "{shoot}", "{n}", as.size().said(), "{date}"));
  }

  private static String plain(String name) {
    String plain = name.replaceAll("[^\\p{L}\\p{M}\\p{N} _-]", "").strip().replace(' ', '-');
    return plain.isEmpty() || plain.startsWith("-") ? "view" + plain : cut(plain);
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
