package illuminar.server.coverpage;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.cover.CoverPage;
import illuminar.core.cover.Lettered;
import illuminar.core.geometry.Laid;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.server.alternative.Alternatives;
import illuminar.server.reading.Wanted;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.Lanes;
import illuminar.server.sitting.OpenViews;
import illuminar.server.typeface.Ink;
import illuminar.server.typeface.Typefaces;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.Arrays;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Draws a cover: the view as it would be delivered, its lettering, and the lettering's shadow. */
@Component
class CoverDrawing {
  private final ShootService shoots;
  private final Alternatives alternatives;
  private final OpenViews open;
  private final Lanes lanes;
  private final Typefaces typefaces;

  CoverDrawing(
      ShootService shoots,
      Alternatives alternatives,
      OpenViews open,
      Lanes lanes,
      Typefaces typefaces) {
    this.shoots = shoots;
    this.alternatives = alternatives;
    this.open = open;
    this.lanes = lanes;
    this.typefaces = typefaces;
  }

  /**
   * A cover's page. One whose picture has fewer pixels is smaller.
   *
   * @param edge pixels of the long edge, at most
   */
  Lettered.Made of(UUID studio, CoverPage page, int edge) {
    Path2D outlines = typefaces.outlines(page.font(), page.text());
    Shown shown = shown(studio, page.view());
    return lanes.slow().take(1, Wanted.here(), () -> drawn(studio, page, outlines, shown, edge));
  }

  /** A view as it would be delivered. */
  private record Shown(View view, Recipe recipe, Laid laid) {}

  private Shown shown(UUID studio, String id) {
    View view = shoots.ownedView(studio, UUID.fromString(id));
    Recipe recipe = alternatives.delivered(view).recipe();
    return new Shown(view, recipe, Laid.of(recipe.geometry(), view.width(), view.height()));
  }

  private Lettered.Made drawn(
      UUID studio, CoverPage page, Path2D outlines, Shown shown, int wanted) {
    Cut cut = new Cut(page.across(), page.down(), page.zoom());
    int edge = Math.min(wanted, mostEdge(shown.laid, page.format(), page.zoom()));
    int width = page.format().width(edge);
    int height = page.format().height(edge);
    Picture below = cut(shown, cut, width, height);
    double size = page.size() * edge;
    double baseline = page.at().y() * edge;
    outlines.transform(new AffineTransform(size, 0, 0, size, page.at().x() * edge, baseline));
    Lettered.Letters letters =
        new Lettered.Letters(
            Ink.of(outlines, width, height),
            fill(studio, page, outlines.getBounds2D(), width, height),
            baseline,
            size,
            page.relief());
    return Lettered.of(below, letters, page.shadow());
  }

  /** What is shown of a picture: its middle as shares, and how far it is enlarged. */
  private record Cut(double across, double down, double zoom) {
    static final Cut MIDDLE = new Cut(0.5, 0.5, 1);
  }

  /** The largest page that needs no pixel to be made up. */
  private static int mostEdge(Laid laid, CoverPage.Format format, double zoom) {
    int unit = 10_000;
    double wide = laid.projection().width() / zoom / format.width(unit);
    double high = laid.projection().height() / zoom / format.height(unit);
    return Math.max(64, (int) (unit * Math.min(wide, high)));
  }

  /** A part of a view that fills so many pixels. */
  private Picture cut(Shown of, Cut cut, int width, int height) {
    int wide = of.laid.projection().width();
    int high = of.laid.projection().height();
    double scale = Math.min(4, cut.zoom * Math.max(width / (double) wide, height / (double) high));
    Raster whole = Raster.whole(wide, high, scale);
    int left = within(cut.across * whole.width() - width / 2.0, whole.width() - width);
    int top = within(cut.down * whole.height() - height / 2.0, whole.height() - height);
    Raster part =
        whole.part(left, top, Math.min(width, whole.width()), Math.min(height, whole.height()));
    return filling(open.finished(of.view, of.recipe, of.laid, part), width, height);
  }

  private static int within(double at, int most) {
    return (int) Math.max(0, Math.min(most, Math.round(at)));
  }

  /** The same picture where rounding left it a row or column too small. */
  private static Picture filling(Picture p, int width, int height) {
    if (p.width() == width && p.height() == height) {
      return p;
    }
    Picture out = Picture.of(width, height);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int from = Math.min(p.height() - 1, y) * p.width() + Math.min(p.width() - 1, x);
        out.r()[y * width + x] = p.r()[from];
        out.g()[y * width + x] = p.g()[from];
        out.b()[y * width + x] = p.b()[from];
      }
    }
    return out;
  }

  /** A colour everywhere, or a view where the letters are. */
  private Picture fill(UUID studio, CoverPage page, Rectangle2D box, int width, int height) {
    Picture out = Picture.of(width, height);
    if (page.fillView().isEmpty()) {
      double[] rgb = page.rgb();
      double[] light =
          Space.SRGB_TO_WORK.apply(Srgb.decode(rgb[0]), Srgb.decode(rgb[1]), Srgb.decode(rgb[2]));
      for (int c = 0; c < 3; c++) {
        Arrays.fill(out.channel(c), (float) light[c]);
      }
      return out;
    }
    int left = within(Math.floor(box.getMinX()), width - 1);
    int top = within(Math.floor(box.getMinY()), height - 1);
    int right = within(Math.ceil(box.getMaxX()), width);
    int low = within(Math.ceil(box.getMaxY()), height);
    int wide = Math.max(1, right - left);
    int high = Math.max(1, low - top);
    Picture part = cut(shown(studio, page.fillView()), Cut.MIDDLE, wide, high);
    for (int c = 0; c < 3; c++) {
      for (int y = 0; y < Math.min(high, height - top); y++) {
        System.arraycopy(
            part.channel(c),
            y * wide,
            out.channel(c),
            (top + y) * width + left,
            Math.min(wide, width - left));
      }
    }
    return out;
  }
}
