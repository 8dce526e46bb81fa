package illuminar.server.intake;

import illuminar.core.colour.Burnt;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import illuminar.core.intake.Grouping;
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
      Raster raster = Raster.fitted(codes.width(), codes.height(), THUMB);
      Picture small = pyramid.draw(raster, Similarity.NONE, codes.width(), codes.height());
      double[] tone = tone(small);
      WorkingSpace.fromSrgb(small.planes());
      byte[] thumb = ScreenJpeg.of(small, 0.82);
      Read read =
          new Read(
              size,
              modified,
              Sha256.of(p),
              seen.header(),
              seen.capture(),
              tone[0],
              tone[1],
              tone[2],
              thumb);
      known.put(p, read);
      return read;
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    }
  }

  /** Mean code, burnt share and blocked share of a display-linear picture. */
  private static double[] tone(Picture p) {
    double sum = 0;
    int burnt = 0;
    int blocked = 0;
    for (int i = 0; i < p.g().length; i++) {
      sum += Srgb.encodeFast(p.g()[i]);
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      burnt += most > Burnt.IN_FILE ? 1 : 0;
      blocked += most < 0.0009f ? 1 : 0;
    }
    double n = p.g().length;
    return new double[] {sum / n, burnt / n, blocked / n};
  }
}
