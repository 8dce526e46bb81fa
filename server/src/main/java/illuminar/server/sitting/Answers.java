package illuminar.server.sitting;

import illuminar.core.colour.Lab;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Laid;
import illuminar.core.geometry.Projection;
import illuminar.core.measure.Histogram;
import illuminar.core.measure.Reading;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.files.ScreenJpeg;
import illuminar.server.balance.Probe;
import illuminar.server.reading.Wanted;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.View;
import illuminar.server.sitting.messages.Answer;
import illuminar.server.sitting.messages.Request;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javax.imageio.ImageIO;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/** Works out the answers of one sitting; remembers the picture that was shown last. One thread. */
final class Answers {
  private static final int MOST_PIXELS = 9_000_000;

  /** How long a view counts as lately looked at; nanoseconds. */
  private static final long LATELY = 2_000_000_000L;

  private final Supplier<View> view;
  private final OpenViews open;
  private final RecipeJson json;
  private Picture shown = Picture.of(1, 1);
  private Raster shownAt = new Raster(1, 0, 0, 1, 1);
  private Laid shownAs = Laid.of(Geometry.NONE, 1, 1);

  /** The view as it was when it was last looked at. */
  private Optional<View> known = Optional.empty();

  private long lookedAt;

  /** The first pinned probe's colour, from which the others differ. */
  private Optional<Lab> first = Optional.empty();

  /**
   * @param view as it is when an answer is asked for
   */
  Answers(Supplier<View> view, OpenViews open, RecipeJson json) {
    this.view = view;
    this.open = open;
    this.json = json;
  }

  /** An answer and what follows its head. */
  record Given(Answer head, byte[]... body) {}

  /**
   * @throws IllegalArgumentException where it asks for what cannot be
   */
  Given to(Request request) throws IOException {
    if (request instanceof Request.PictureRequest asked) {
      return picture(asked);
    } else if (request instanceof Request.MaskRequest asked) {
      return mask(asked);
    } else if (request instanceof Request.ReadRequest asked) {
      return new Given(new Answer.ReadAnswer(asked.seq(), readings(asked.probes())));
    }
    return pick((Request.PickRequest) request);
  }

  private static Raster checked(Raster r) {
    if (r.pixels() > MOST_PIXELS || r.x() < 0 || r.y() < 0) {
      throw new IllegalArgumentException("This piece of the picture is too large to show at once.");
    }
    return r;
  }

  private Given picture(Request.PictureRequest asked) {
    long start = System.nanoTime();
    Raster raster = checked(asked.raster());
    View now = asked.draft() ? lately() : looked();
    Laid laid = laid(now, asked.recipe(), asked.uncut());
    Picture picture =
        asked.draft() && asked.frame().isEmpty()
            ? open.hurry(
                now,
                raster.scale(),
                s -> laid.picture(raster, r -> s.draft(asked.recipe(), r, asked.moving())))
            : open.work(now, s -> sharp(s, asked, laid));
    long rendered = System.nanoTime();
    List<ScreenJpeg.Strip> strips = ScreenJpeg.strips(picture, asked.quality());
    if (!asked.aside()) {
      shown = picture;
      shownAt = raster;
      shownAs = laid;
      first = asked.probes().stream().findFirst().flatMap(this::read).map(Reading::lab);
    }
    return new Given(
        new Answer.PictureAnswer(
            asked.seq(),
            raster,
            Histogram.of(picture),
            readings(asked.probes()),
            strips.stream().map(s -> new Answer.Strip(s.rows(), s.jpeg().length)).toList(),
            (rendered - start) / 1e6,
            (System.nanoTime() - start) / 1e6),
        strips.stream().map(ScreenJpeg.Strip::jpeg).toArray(byte[][]::new));
  }

  private View looked() {
    View now = view.get();
    known = Optional.of(now);
    lookedAt = System.nanoTime();
    return now;
  }

  /**
   * What follows a hand, and a mask, do not ask the database each time: a sharp picture comes with
   * them or soon.
   */
  private View lately() {
    return known.filter(v -> System.nanoTime() - lookedAt < LATELY).orElseGet(this::looked);
  }

  private static Laid laid(View view, Recipe recipe, boolean uncut) {
    int w = view.width();
    int h = view.height();
    return uncut
        ? new Laid(Projection.everything(recipe.geometry(), w, h), w, h)
        : Laid.of(recipe.geometry(), w, h);
  }

  private static Picture sharp(PreviewSession session, Request.PictureRequest asked, Laid laid) {
    return asked.frame().isEmpty()
        ? session.finished(asked.recipe(), laid, asked.raster(), asked.moving(), Wanted.here())
        : laid.picture(asked.raster(), r -> session.frame(asked.frame(), r));
  }

  private List<Answer.ProbeReading> readings(List<Probe> probes) {
    return probes.stream()
        .map(
            probe -> {
              Optional<Reading> reading = read(probe);
              return new Answer.ProbeReading(
                  probe.id(),
                  reading,
                  reading.flatMap(r -> first.map(lab -> lab.difference(r.lab()))));
            })
        .toList();
  }

  /** Reads from the picture that is shown; nothing where the probe lies beside it. */
  private Optional<Reading> read(Probe probe) {
    double s = shownAt.scale();
    Point at = shownAs.shown(new Point(probe.x() + 0.5, probe.y() + 0.5));
    double x = at.x() * s - 0.5 - shownAt.x();
    double y = at.y() * s - 0.5 - shownAt.y();
    if (x < 0 || y < 0 || x > shown.width() - 1 || y > shown.height() - 1) {
      return Optional.empty();
    }
    return Optional.of(Reading.at(shown, x, y, Math.max(0.5, probe.radius() * s)));
  }

  private Given pick(Request.PickRequest asked) {
    Reading reading =
        open.work(
            looked(),
            s -> s.colour(asked.recipe(), asked.look(), asked.x(), asked.y(), asked.radius()));
    return new Given(new Answer.PickAnswer(asked.seq(), asked.slot(), reading));
  }

  private Given mask(Request.MaskRequest asked) throws IOException {
    Raster raster = checked(asked.raster());
    View now = lately();
    Laid laid = laid(now, asked.recipe(), asked.uncut());
    float[] share =
        open.work(
            now,
            s ->
                laid.plane(
                        raster,
                        r ->
                            new Plane(
                                r.width(),
                                r.height(),
                                s.coverage(asked.recipe(), asked.region(), r).copy()),
                        0)
                    .data());
    BufferedImage image =
        new BufferedImage(raster.width(), raster.height(), BufferedImage.TYPE_BYTE_GRAY);
    byte[] data = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    double sum = 0;
    for (int i = 0; i < share.length; i++) {
      data[i] = (byte) (int) (share[i] * 255 + 0.5f);
      sum += share[i];
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    try (ImageOutputStream out = new MemoryCacheImageOutputStream(png)) {
      ImageIO.write(image, "png", out);
    }
    int bytes = json.write(asked.recipe().region(asked.region()).orElseThrow()).length();
    return new Given(
        new Answer.MaskAnswer(
            asked.seq(), asked.slot(), asked.region(), raster, sum / share.length, bytes),
        png.toByteArray());
  }
}
