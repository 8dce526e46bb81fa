package illuminar.server.sitting;

import illuminar.core.colour.WorkingSpace;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.files.BadPicture;
import illuminar.server.kept.KeptFrames;
import illuminar.server.reading.PictureDoor;
import illuminar.server.reading.Wanted;
import illuminar.server.shoot.FrameRow;
import illuminar.server.storage.Originals;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.NoSuchFileException;
import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Frames of views as pyramids, on all cores. */
@Component
public class FrameLoader {
  private final Originals originals;
  private final KeptFrames kept;
  private final PictureDoor door;

  FrameLoader(Originals originals, KeptFrames kept, PictureDoor door) {
    this.door = door;
    this.originals = originals;
    this.kept = kept;
  }

  /** The frames; their full size is read when it is asked for, and may be let go. */
  public List<Pyramid> pyramids(List<FrameRow> rows) {
    BooleanSupplier wanted = Wanted.here();
    return rows.parallelStream().map(row -> pyramid(row, wanted)).toList();
  }

  /** The frames with their full size. */
  public List<Pyramid> whole(List<FrameRow> rows) {
    BooleanSupplier wanted = Wanted.here();
    return rows.parallelStream().map(row -> read(row, wanted)).toList();
  }

  /**
   * One frame small, as the camera rendered it.
   *
   * @param edge the longer one, pixels
   */
  public Picture small(FrameRow row, int edge) {
    Pyramid pyramid = pyramid(row, Wanted.here());
    Raster raster = Raster.fitted(row.width(), row.height(), edge);
    Picture p = pyramid.draw(raster, Similarity.NONE, row.width(), row.height());
    WorkingSpace.fromSrgb(p.planes());
    return p;
  }

  private Pyramid pyramid(FrameRow row, BooleanSupplier wanted) {
    return kept.find(row.sha256(), source(row)).orElseGet(() -> read(row, wanted));
  }

  private Pyramid read(FrameRow row, BooleanSupplier wanted) {
    return kept.keep(row.sha256(), Pyramid.of(pixels(row, wanted)), source(row));
  }

  /** The full size whenever it is asked for. */
  private Supplier<Codes> source(FrameRow row) {
    return () -> pixels(row, Wanted.here());
  }

  private Codes pixels(FrameRow row, BooleanSupplier wanted) {
    try {
      return door.pixels(originals.find(row.sha256()), row.name(), wanted);
    } catch (BadPicture e) {
      throw new Problem(HttpStatus.CONFLICT, e.getMessage());
    } catch (NoSuchFileException e) {
      throw new Problem(HttpStatus.CONFLICT, row.name() + " is not where it was kept.");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
