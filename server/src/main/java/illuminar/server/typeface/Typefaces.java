package illuminar.server.typeface;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.GlyphData;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.springframework.stereotype.Component;

/** The typefaces that ship with the product, and outlines of words in them. */
@Component
public class Typefaces {
  /** From one line to the next, as a share of the size. */
  private static final double LINE = 1.12;

  /** A typeface. */
  public record Typeface(String id, String name) {}

  private static final Map<Typeface, String> FILES = new LinkedHashMap<>();

  static {
    FILES.put(new Typeface("sans", "Sans, bold"), "sans-bold.ttf");
    FILES.put(new Typeface("narrow", "Narrow, bold"), "condensed-bold.ttf");
    FILES.put(new Typeface("serif", "Serif, half bold"), "serif-semibold.ttf");
  }

  private final Map<String, TrueTypeFont> read = new LinkedHashMap<>();

  Typefaces() {
    FILES.forEach(
        (face, file) -> {
          try (InputStream in = Typefaces.class.getResourceAsStream("/fonts/" + file)) {
            read.put(face.id, new TTFParser().parse(new RandomAccessReadBuffer(in)));
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }

  public static List<Typeface> all() {
    return List.copyOf(FILES.keySet());
  }

  /**
   * The outlines of some lines of text, each centred about 0 and the last one standing on 0, in
   * units of the size.
   *
   * @throws IllegalArgumentException if there is no such typeface, or a letter is not in it
   */
  public Path2D outlines(String font, String text) {
    TrueTypeFont face = read.get(font);
    if (face == null) {
      throw new IllegalArgumentException("There is no typeface " + font + ".");
    }
    try {
      List<String> lines = text.lines().map(String::strip).toList();
      Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
      check(face, String.join("", lines));
      for (int k = 0; k < lines.size(); k++) {
        line(face, lines.get(k), -LINE * (lines.size() - 1 - k), all);
      }
      return all;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void check(TrueTypeFont face, String letters) throws IOException {
    CmapLookup glyphs = face.getUnicodeCmapLookup();
    Set<String> lacking = new LinkedHashSet<>();
    letters
        .codePoints()
        .filter(c -> c != ' ' && glyphs.getGlyphId(c) == 0)
        .forEach(c -> lacking.add(Character.toString(c)));
    if (!lacking.isEmpty()) {
      throw new IllegalArgumentException(
          "This typeface has no "
              + String.join(" ", lacking)
              + "; write it otherwise or take another.");
    }
  }

  private static void line(TrueTypeFont face, String text, double down, Path2D to)
      throws IOException {
    CmapLookup glyphs = face.getUnicodeCmapLookup();
    double em = face.getUnitsPerEm();
    double wide = 0;
    int[] points = text.codePoints().toArray();
    for (int c : points) {
      wide += face.getAdvanceWidth(glyphs.getGlyphId(c)) / em;
    }
    double x = -wide / 2;
    for (int c : points) {
      int id = glyphs.getGlyphId(c);
      GlyphData glyph = face.getGlyph().getGlyph(id);
      if (glyph != null) {
        to.append(
            glyph.getPath().getPathIterator(new AffineTransform(1 / em, 0, 0, -1 / em, x, down)),
            false);
      }
      x += face.getAdvanceWidth(id) / em;
    }
  }
}
