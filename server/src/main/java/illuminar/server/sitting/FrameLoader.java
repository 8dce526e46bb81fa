package illuminar.server.sitting;

import illuminar.core.frame.Pyramid;
import illuminar.files.BadPicture;
import illuminar.files.PictureReader;
import illuminar.server.shoot.FrameRow;
import illuminar.server.storage.Originals;
import illuminar.server.web.Problem;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Reads originals into pyramids, on all cores. */
@Component
public class FrameLoader {
  private final Originals originals;

  FrameLoader(Originals originals) {
    this.originals = originals;
  }

  /** The frames at all sizes, display-linear. */
  public List<Pyramid> pyramids(List<FrameRow> rows) {
    return rows.parallelStream().map(this::pyramid).toList();
  }

  private Pyramid pyramid(FrameRow row) {
    try {
      return Pyramid.of(PictureReader.pixels(originals.find(row.sha256()), row.name()));
    } catch (BadPicture e) {
      throw new Problem(HttpStatus.CONFLICT, e.getMessage());
    }
  }
}
