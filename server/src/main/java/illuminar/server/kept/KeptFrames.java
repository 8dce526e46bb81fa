package illuminar.server.kept;

import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Frames at the sizes of screens, by their content; their full size is read when it is needed. */
@Component
public class KeptFrames {
  /** Of how levels are made and written; files of another are not read. */
  private static final int EDITION = 4;

  private final Kept kept;

  KeptFrames(Kept kept) {
    this.kept = kept;
  }

  private static String name(String sha256) {
    return "frames/" + EDITION + "/" + sha256;
  }

  /**
   * A frame without its full size, where it is kept.
   *
   * @param source reads the full size
   */
  public Optional<Pyramid> find(String sha256, Supplier<Codes> source) {
    return kept.read(name(sha256), Levels::read)
        .map(l -> Pyramid.ofLevels(l.width(), l.height(), l.linear(), l.levels(), source));
  }

  /** Keeps a frame, and gives the same that can let go of its full size. */
  public Pyramid keep(String sha256, Pyramid frame, Supplier<Codes> source) {
    Levels levels = Levels.of(frame);
    if (!kept.has(name(sha256))) {
      kept.write(name(sha256), levels::write);
    }
    return frame.readAgain(levels.levels().get(0).power(), source);
  }
}
