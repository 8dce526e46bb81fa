package illuminar.files;

import java.util.List;

/**
 * What people say of a picture. Source of the fields: IPTC Photo Metadata Standard 2023.1 (from
 * memory).
 *
 * @param creator who made it, or empty
 * @param copyright notice, or empty
 * @param caption describes what is seen, or empty
 * @param property the house or site that is shown, or empty
 * @param keywords none of them empty
 */
public record Credits(
    String creator, String copyright, String caption, String property, List<String> keywords) {
  public static final Credits NONE = new Credits("", "", "", "", List.of());

  public Credits {
    keywords = List.copyOf(keywords);
  }

  /** Only a copyright notice. */
  public static Credits of(String copyright) {
    return new Credits("", copyright, "", "", List.of());
  }
}
