package illuminar.server.delivery.format;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Patterns of file names: plain text with words in braces that stand for something. {@code {view}}
 * and {@code {shoot}} are names, {@code {n}} is the view's number in the order of delivery, {@code
 * {size}} the size and {@code {date}} the day on which the view was taken.
 */
public final class NamePattern {
  /** The words that a pattern may hold. */
  private static final List<String> WORDS = List.of("view", "shoot", "n", "size", "date");

  private static final Pattern WORD = Pattern.compile("\\{([^{}]*)\\}");
  private static final int LONGEST = 120;

  private NamePattern() {}

  /** What the words of a pattern stand for, for one file. */
  public record Told(String view, String shoot, String n, String size, String date) {
    private String of(String word) {
      return switch (word) {
        case "view" -> view;
        case "shoot" -> shoot;
        case "n" -> n;
        case "size" -> size;
        default -> date;
      };
    }
  }

  /**
   * The pattern, tidied.
   *
   * @throws IllegalArgumentException if it is empty, too long or holds an unknown word
   */
  static String checked(String pattern) {
    String tidy = pattern == null ? "" : pattern.strip();
    if (tidy.isEmpty() || tidy.length() > LONGEST) {
      throw new IllegalArgumentException("A name pattern has 1 to 120 letters.");
    }
    Matcher words = WORD.matcher(tidy);
    while (words.find()) {
      if (!WORDS.contains(words.group(1))) {
        throw new IllegalArgumentException(
            "A name pattern knows {view}, {shoot}, {n}, {size} and {date}, not "
                + words.group()
                + ".");
      }
    }
    return tidy;
  }

  /** The text for one file. */
  public static String filled(String pattern, Told told) {
    return WORD.matcher(pattern)
        .replaceAll(word -> Matcher.quoteReplacement(told.of(word.group(1))));
  }

  /** Whether every view gets a name of its own by it. */
  public static boolean tellsViewsApart(String pattern) {
    return pattern.contains("{view}") || pattern.contains("{n}");
  }
}
