package illuminar.benchmarks.running;

import illuminar.benchmarks.Enlarged;
import illuminar.core.frame.Codes;
import illuminar.files.Legend;
import illuminar.files.PictureReader;
import illuminar.scenes.Scenes;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.views.Views;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Folders of frames as they lie on a card: views of the instrument room, one after the other. */
public final class Cards {
  /** Minutes between one view and the next; they are told apart by it. */
  private static final int APART = 10;

  private Cards() {}

  /**
   * Writes views that look alike and differ in their files.
   *
   * @param from folder of the frames
   * @param width to which frames are enlarged, if they are not so wide
   * @param frames of each view, the first ones of the room: five are ambient
   */
  public static Path of(String name, Path from, int width, int views, int frames) throws Exception {
    Path folder = Files.createDirectories(Path.of(".run/benchmark", name));
    List<Shot> shots = Views.instrumentRoom().shots().subList(0, frames);
    for (Shot shot : shots) {
      Codes c = PictureReader.pixels(from.resolve(shot.file() + ".JPG"), shot.file());
      Codes large = Enlarged.of(c, width);
      for (int v = 0; v < views; v++) {
        Path to = folder.resolve("V%02d_%s.JPG".formatted(v, shot.file()));
        if (!Files.exists(to)) {
          Enlarged.write(large, legend(shot, v), to);
        }
      }
    }
    return folder;
  }

  private static Legend legend(Shot shot, int view) {
    Legend is = Scenes.legend(shot);
    return new Legend(
        is.exposure(),
        is.taken().map(t -> t.plusMinutes((long) APART * view)),
        is.camera(),
        is.flash(),
        is.orientation(),
        is.credits().copyright(),
        is.captures());
  }
}
