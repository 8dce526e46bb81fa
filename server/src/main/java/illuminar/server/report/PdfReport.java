package illuminar.server.report;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A report on A4 pages, each view on its own. */
final class PdfReport implements AutoCloseable {
  private static final float MARGIN = 48;
  private static final float GAP = 12;
  private static final float TITLE = 18;
  private static final float TEXT = 10;
  private static final float LINE = 14;

  /** A typeface that the library ships, with Latin, Greek and Cyrillic. */
  private static final String FACE = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  private final PDDocument document = new PDDocument();
  private final PDFont font;
  private PDPageContentStream page;
  private float y;

  private PdfReport() throws IOException {
    try (InputStream face = PDDocument.class.getResourceAsStream(FACE)) {
      font = PDType0Font.load(document, face);
    }
  }

  static byte[] of(Report report) throws IOException {
    try (PdfReport pdf = new PdfReport()) {
      pdf.document.getDocumentInformation().setTitle("What was done: " + report.shoot());
      pdf.document.getDocumentInformation().setAuthor(report.studio());
      for (Report.ViewPart view : report.views()) {
        pdf.begin();
        pdf.text(report.shoot() + " – " + report.studio() + ", delivered " + report.made(), TEXT);
        pdf.text(view.name(), TITLE);
        pdf.pictures(view);
        pdf.list("Steps", view.steps());
        pdf.list("Frames used", view.frames());
        pdf.list("Surfaces, as they are now", view.surfaces());
        pdf.list("Files", view.files());
        pdf.page.close();
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      pdf.document.save(out);
      return out.toByteArray();
    }
  }

  private void begin() throws IOException {
    PDPage next = new PDPage(PDRectangle.A4);
    document.addPage(next);
    page = new PDPageContentStream(document, next);
    y = PDRectangle.A4.getHeight() - MARGIN;
  }

  private static float width() {
    return PDRectangle.A4.getWidth() - 2 * MARGIN;
  }

  private void pictures(Report.ViewPart view) throws IOException {
    float half = (width() - GAP) / 2;
    PDImageXObject before = JPEGFactory.createFromByteArray(document, view.before());
    PDImageXObject after = JPEGFactory.createFromByteArray(document, view.after());
    float high = half * before.getHeight() / before.getWidth();
    y -= GAP + high;
    page.drawImage(before, MARGIN, y, half, high);
    page.drawImage(
        after, MARGIN + half + GAP, y, half, half * after.getHeight() / after.getWidth());
    y -= GAP;
    text("Left the camera's picture, right as delivered.", TEXT);
  }

  private void list(String title, List<String> lines) throws IOException {
    if (!lines.isEmpty()) {
      y -= GAP / 2;
      text(title, TEXT + 2);
      for (int k = 0; k < lines.size(); k++) {
        text((k + 1) + ". " + lines.get(k), TEXT);
      }
    }
  }

  /** Text in as many lines as it needs; on a new page where this one is full. */
  private void text(String text, float size) throws IOException {
    float high = LINE * size / TEXT;
    for (String line : wrapped(shown(text), size)) {
      if (y - high < MARGIN) {
        page.close();
        begin();
      }
      y -= high;
      page.beginText();
      page.setFont(font, size);
      page.newLineAtOffset(MARGIN, y);
      page.showText(line);
      page.endText();
    }
  }

  /** What the typeface has no letter for is a question mark. */
  private String shown(String text) {
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              String letter = Character.toString(c);
              try {
                font.encode(letter);
                out.append(letter);
              } catch (IOException | IllegalArgumentException e) {
                out.append('?');
              }
            });
    return out.toString();
  }

  private List<String> wrapped(String text, float size) throws IOException {
    List<String> out = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : text.split(" ", -1)) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && font.getStringWidth(longer) / 1000 * size > width()) {
        out.add(line.toString());
        line.setLength(0);
        line.append(word);
      } else {
        line.setLength(0);
        line.append(longer);
      }
    }
    out.add(line.toString());
    return out;
  }

  @Override
  public void close() throws IOException {
    document.close();
  }
}
