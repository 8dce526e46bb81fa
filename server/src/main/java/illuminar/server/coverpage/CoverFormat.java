package illuminar.server.coverpage;

import illuminar.core.picture.Picture;
import illuminar.core.render.OutputSpace;
import illuminar.files.Credits;
import illuminar.files.Legend;
import illuminar.files.MakeAndModel;
import illuminar.files.Optics;
import illuminar.files.PictureWriter;
import illuminar.files.Written;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;

/** How covers are taken along. */
enum CoverFormat {
  PNG("image/png"),
  JPEG("image/jpeg"),
  PDF("application/pdf");

  private static final int PPI = 300;
  private static final double QUALITY = 0.94;

  /** PDF measures in 72 to an inch. Source: ISO 32000-1, 8.3.2.3. */
  private static final float POINTS = 72;

  private final String mediaType;

  CoverFormat(String mediaType) {
    this.mediaType = mediaType;
  }

  String mediaType() {
    return mediaType;
  }

  /** The file of a finished page; {@code copyright} may be empty. */
  byte[] write(Picture page, String copyright) throws IOException {
    BufferedImage image =
        PictureWriter.image8(page.width(), page.height(), OutputSpace.SRGB.codes8(page));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Written how = new Written(OutputSpace.SRGB, QUALITY, true, PPI);
    switch (this) {
      case PNG -> PictureWriter.png(image, how, legend(copyright), out);
      case JPEG -> PictureWriter.jpeg(image, how, legend(copyright), out);
      case PDF -> {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        PictureWriter.jpeg(image, how, legend(copyright), jpeg);
        pdf(jpeg.toByteArray(), page.width(), page.height(), out);
      }
    }
    return out.toByteArray();
  }

  /** Taken with a camera and put together. */
  private static Legend legend(String copyright) {
    return new Legend(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optics.UNKNOWN,
        MakeAndModel.UNKNOWN,
        false,
        1,
        Credits.of(copyright),
        2);
  }

  private static void pdf(byte[] jpeg, int width, int height, ByteArrayOutputStream out)
      throws IOException {
    float wide = width * POINTS / PPI;
    float high = height * POINTS / PPI;
    try (PDDocument document = new PDDocument()) {
      PDPage page = new PDPage(new PDRectangle(wide, high));
      document.addPage(page);
      try (PDPageContentStream content = new PDPageContentStream(document, page)) {
        content.drawImage(JPEGFactory.createFromByteArray(document, jpeg), 0, 0, wide, high);
      }
      document.save(out);
    }
  }
}
