package illuminar.scenes;

import illuminar.files.PictureWriter;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Truth;
import illuminar.scenes.views.View;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * Writes all that is known of a view in open formats: light in kcd/m² and reflectance as RGBE
 * pictures ({@code .hdr}), shares and normals as PNG, frames without noise as 16-bit linear TIFF.
 */
final class TruthKit {
  private final View view;
  private final Radiance radiance;
  private final Path folder;
  private final TruthFiles files;

  TruthKit(View view, Radiance radiance, Path folder) {
    this.view = view;
    this.radiance = radiance;
    this.folder = folder;
    files = new TruthFiles(folder, radiance.width(), radiance.height());
  }

  void write() throws IOException {
    Files.createDirectories(folder);
    Truth truth = radiance.truth();
    for (int k = 0; k < radiance.lights().length; k++) {
      files.hdr("light-" + radiance.names().get(k), radiance.lights()[k]);
    }
    files.hdr("reflectance", truth.albedo());
    files.hdr("depth-metres", new float[][] {truth.depth(), truth.depth(), truth.depth()});
    files.hdr("view", truth.view());
    files.hdr("view-without-haze", truth.clear());
    files.grey("transmission", truth.transmission());
    files.grey("outside", truth.outside());
    for (String part : truth.parts()) {
      files.grey("part-" + part, truth.part(part));
    }
    normals(truth.normal());
    if (radiance.names().contains("roof-shade")) {
      float[] every = new float[radiance.names().size()];
      java.util.Arrays.fill(every, 1);
      files.hdr("without-shadow", radiance.sum(every));
    }
    for (Shot shot : view.shots()) {
      if (shot.drift().isNone() && !shot.moved()) {
        float[] clean = view.camera().quiet(radiance, shot.strengths(), shot.exposure());
        PictureWriter.linearTiff(
            PictureWriter.image16(radiance.width(), radiance.height(), Camera.codes16(clean)),
            Scenes.legend(shot),
            folder.resolve(shot.file() + "-without-noise.TIF"));
      }
    }
  }

  private void normals(float[][] normal) throws IOException {
    short[] codes = new short[normal[0].length * 3];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (short) Math.round(32767.5 + 32767 * normal[i % 3][i / 3]);
    }
    files.png("normals", codes);
  }
}
