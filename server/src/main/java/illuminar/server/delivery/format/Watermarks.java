package illuminar.server.delivery.format;

import illuminar.core.picture.Raster;
import illuminar.core.render.Watermark;
import illuminar.server.typeface.Ink;
import illuminar.server.typeface.Typefaces;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import org.springframework.stereotype.Component;

/** Draws watermarks in a typeface that ships with the product. */
@Component
public class Watermarks {
  private static final String FACE = "sans";

  private final Typefaces typefaces;

  Watermarks(Typefaces typefaces) {
    this.typefaces = typefaces;
  }

  /**
   * Looks whether a watermark can be lettered.
   *
   * @throws IllegalArgumentException if a letter is not in the typeface
   */
  public void check(Watermark mark) {
    typefaces.outlines(FACE, mark.text());
  }

  /**
   * Lays a watermark over the codes of a picture, which are changed.
   *
   * @param codes {@code byte[]} or {@code short[]}
   */
  void over(Object codes, int width, int height, int channels, Watermark mark) {
    Path2D outlines = typefaces.outlines(FACE, mark.text());
    double size = mark.pixels(width, height, outlines.getBounds2D().getWidth());
    outlines.transform(AffineTransform.getScaleInstance(size, size));
    Rectangle2D box = outlines.getBounds2D();
    Raster area = mark.area(width, height, box.getWidth(), box.getHeight(), size);
    int around = Watermark.around(size);
    outlines.transform(
        AffineTransform.getTranslateInstance(around - box.getX(), around - box.getY()));
    mark.over(codes, width, channels, area, Ink.of(outlines, area.width(), area.height()), size);
  }
}
