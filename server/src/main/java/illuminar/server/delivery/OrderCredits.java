package illuminar.server.delivery;

import illuminar.files.Credits;
import illuminar.server.delivery.format.NamePattern;
import java.util.List;

/**
 * What all files of an order say of themselves.
 *
 * @param creator who made the pictures
 * @param caption what is seen, with the words of a {@link NamePattern}
 * @param property the house or site that is shown
 */
record OrderCredits(
    String creator, String copyright, String caption, String property, List<String> keywords) {
  private static final int LONGEST = 500;
  private static final int MOST_KEYWORDS = 50;

  OrderCredits {
    creator = tidy(creator);
    copyright = tidy(copyright);
    caption = tidy(caption);
    property = tidy(property);
    keywords =
        keywords == null
            ? List.of()
            : keywords.stream()
                .map(OrderCredits::tidy)
                .filter(k -> !k.isEmpty())
                .distinct()
                .toList();
    if (keywords.size() > MOST_KEYWORDS) {
      throw new IllegalArgumentException("A picture has at most 50 keywords.");
    }
  }

  private static String tidy(String text) {
    String tidy = text == null ? "" : text.strip();
    if (tidy.length() > LONGEST) {
      throw new IllegalArgumentException(
          "Creator, copyright, caption, property and keywords have at most 500 letters each.");
    }
    return tidy;
  }

  /** For one view. */
  Credits of(NamePattern.Told told) {
    return new Credits(creator, copyright, NamePattern.filled(caption, told), property, keywords);
  }
}
