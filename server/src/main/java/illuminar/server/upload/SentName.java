package illuminar.server.upload;

import java.nio.charset.StandardCharsets;

/**
 * A file's name as it was sent, made fit to be shown: the last part of its path, without control
 * characters, at most {@value #MOST} bytes in UTF-8.
 *
 * @param ending with its dot; may be empty
 */
record SentName(String stem, String ending) {
  private static final int MOST = 180;

  static SentName of(String sent) {
    String last = sent.substring(Math.max(sent.lastIndexOf('/'), sent.lastIndexOf('\\')) + 1);
    String clean =
        last.codePoints()
            .filter(c -> !Character.isISOControl(c))
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString()
            .strip();
    int dot = clean.lastIndexOf('.');
    boolean ends = dot > 0 && clean.length() - dot <= 6;
    String stem = cut(ends ? clean.substring(0, dot) : clean);
    return new SentName(stem.isBlank() ? "unnamed" : stem, ends ? clean.substring(dot) : "");
  }

  private static String cut(String stem) {
    String s = stem;
    while (s.getBytes(StandardCharsets.UTF_8).length > MOST) {
      s = s.substring(0, s.offsetByCodePoints(s.length(), -1));
    }
    return s;
  }

  /** The name itself, or with a number from the second on. */
  String numbered(int k) {
    return k == 1 ? stem + ending : stem + " (" + k + ")" + ending;
  }
}
