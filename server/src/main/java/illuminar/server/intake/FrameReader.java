package illuminar.server.intake;

import illuminar.core.colour.Srgb;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import illuminar.core.intake.Grouping;
import illuminar.core.measure.Clipping;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.files.BadPicture;
import illuminar.files.Capture;
import illuminar.files.Header;
import illuminar.files.PictureWorkers;
import illuminar.files.ScreenJpeg;
import illuminar.server.reading.PictureDoor;
import illuminar.server.storage.Recent;
import illuminar.server.storage.Sha256;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.OptionalDouble;
import org.springframework.stereotype.Component;

/**
 * Reads what the time line shows of a file. What was read is remembered as long as the file's size
 * and time stay.
 */
@Component
class FrameReader {
  private static final int THUMB = 360;

  /** Files that are remembered; more are read again. */
  private static final int MOST = 3000;

  private final Map<Path, Read> known = Recent.of(MOST);
  private final PictureDoor door;

  FrameReader(PictureDoor door) {
    this.door = door;
  }

  /** One file that could be read. */
  record Read(
      long size,
      long modified,
      String sha256,
      Header header,
      Capture capture,
      double middle,
      double burnt,
      double blocked,
      byte[] thumb) {

    /** The file as the grouping rules see it. */
    Grouping.Found found(String id) {
      return new Grouping.Found(
          id,
          capture.taken(),
          capture.exposure().map(e -> OptionalDouble.of(e.stops())).orElse(OptionalDouble.empty()),
          capture.flash(),
          header.width(),
          header.height(),
          capture.optics().focal(),
          middle);
    }
  }

  /**
   * Reads a file.
   *
   * @throws BadPicture with its name and the reason, if it is no picture
   */
  Read read(Source.Waiting file) throws BadPicture {
    String name = file.name();
    Path p = file.path();
    try {
      long size = Files.size(p);
      long modified = Files.getLastModifiedTime(p).toMillis();
      Read old = known.get(p);
      if (old != null && old.size == size && old.modified == modified) {
        return old;
      }
      PictureWorkers.Glance seen = door.glance(p, name);
      Codes codes = seen.codes();
      Pyramid pyramid = Pyramid.of(codes);
      // averaged less, since small burnt places are lost in a thumbnail
      Clipping.Shares clipped =
          Clipping.ofSrgb(drawn(pyramid, Math.max(codes.width(), codes.height())));
      Picture small = drawn(pyramid, THUMB);
      WorkingSpace.fromSrgb(small.planes());
      byte[] thumb = ScreenJpeg.of(small, 0.82);
      Read read =
          new Read(
              size,
              modified,
              Sha256.of(p),
              seen.header(),
              seen.capture(),
              middle(small),
              clipped.burnt(),
              clipped.blocked(),
              thumb);
      known.put(p, read);
      return read;
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    }
  }

  private static Picture drawn(Pyramid pyramid, int longEdge) {
    int w = pyramid.width();
    int h = pyramid.height();
    return pyramid.draw(Raster.fitted(w, h, longEdge), Similarity.NONE, w, h);
  }

  /** Mean code of green, from 0 to 1, of a display-linear picture. */
  private static double middle(Picture p) {
    double sum = 0;
    for (float g : p.g()) {
      sum += Srgb.encodeFast(g);
    }
    return sum / p.g().length;
  }
}
