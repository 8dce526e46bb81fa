package illuminar.scenes;

import illuminar.scenes.camera.Shot;
import illuminar.scenes.invented.InventedView;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Truth;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Writes an invented view as a case: JPEG frames, {@code truth.hdr} (light at the first frame's
 * exposure and white), {@code masks/NAME.png} of where things are, and of rooms {@code even.hdr},
 * the truth picture.
 */
public final class CaseKit {
  private final InventedView view;
  private final TruthFiles files;

  private CaseKit(InventedView view, Path folder) {
    this.view = view;
    files = new TruthFiles(folder, view.radiance().width(), view.radiance().height());
  }

  /** Writes a view into a folder. */
  public static void write(InventedView view, Path folder) throws IOException {
    Files.createDirectories(folder);
    CaseKit kit = new CaseKit(view, folder);
    for (Shot shot : view.shots()) {
      Scenes.jpeg(
          view.expose(shot),
          kit.files.width(),
          kit.files.height(),
          shot,
          folder.resolve(shot.file() + ".jpg"));
    }
    kit.light();
    kit.masks();
  }

  private void light() throws IOException {
    Radiance r = view.radiance();
    Shot base = view.shots().get(0);
    double[] white = view.camera().white();
    float[][] sum = r.sum(base.strengths());
    double gain = view.camera().gain() * Math.pow(2, base.exposure().stops());
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < sum[c].length; i++) {
        sum[c][i] *= (float) (gain * white[c]);
      }
    }
    files.hdr("truth", sum);
    if (view.room()) {
      files.hdr("even", EvenLight.of(r, base.strengths(), white));
    }
  }

  private void masks() throws IOException {
    Truth truth = view.radiance().truth();
    for (String part : truth.parts()) {
      if (!part.equals("walls") || view.white()) {
        mask(part, truth.part(part));
      }
    }
    mask(view.room() ? "panes" : "sky", truth.outside());
  }

  /** Writes a mask if anything is in it. */
  private void mask(String name, float[] share) throws IOException {
    for (float s : share) {
      if (s > 0.98f) {
        files.mask("masks/" + name, share);
        return;
      }
    }
  }
}
