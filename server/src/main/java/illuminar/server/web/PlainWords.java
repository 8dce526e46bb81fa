package illuminar.server.web;

import illuminar.files.BadPicture;
import java.io.IOException;
import java.util.Locale;

/** What is said of a failure: no names of classes or of the server's folders. */
public final class PlainWords {
  private PlainWords() {}

  /** A sentence. */
  public static String of(Throwable e) {
    if (e instanceof OutOfMemoryError) {
      return "There is not enough memory for pictures of this size.";
    }
    if (e instanceof Problem || e instanceof BadPicture || e instanceof IllegalArgumentException) {
      return sentence(e.getMessage());
    }
    return e instanceof IOException io
        ? sentence(disk(io))
        : "Something failed that should not; the server's log says more. Try again.";
  }

  /** What the disk refused. */
  public static String disk(IOException e) {
    String said = String.valueOf(e.getMessage()).toLowerCase(Locale.ROOT);
    return said.contains("no space") ? "the disk is full" : "the disk refused it";
  }

  /** What was said, begun and ended as a sentence is. */
  public static String sentence(String said) {
    String whole = said == null || said.isBlank() ? "it failed" : said.strip();
    String first = whole.substring(0, 1).toUpperCase(Locale.ROOT) + whole.substring(1);
    return first.endsWith(".") ? first : first + ".";
  }
}
