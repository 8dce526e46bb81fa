package illuminar.scenes;

import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Truth;
import illuminar.scenes.views.View;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
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

  TruthKit(View view, Radiance radiance, Path folder) {
    this.view = view;
    this.radiance = radiance;
    this.folder = folder;
  }

  void write() throws IOException {
    Files.createDirectories(folder);
    Truth truth = radiance.truth();
    for (int k = 0; k < radiance.lights().length; k++) {
      hdr("light-" + radiance.names().get(k), radiance.lights()[k]);
    }
    hdr("reflectance", truth.albedo());
    hdr("depth-metres", new float[][] {truth.depth(), truth.depth(), truth.depth()});
    hdr("view", truth.view());
    hdr("view-without-haze", truth.clear());
    grey("transmission", truth.transmission());
    grey("outside", truth.outside());
    for (String part : truth.parts()) {
      grey("part-" + part, truth.part(part));
    }
    normals(truth.normal());
    if (radiance.names().contains("roof-shade")) {
      float[] every = new float[radiance.names().size()];
      java.util.Arrays.fill(every, 1);
      hdr("without-shadow", radiance.sum(every));
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

  /** Shared-exponent pixels. Source: Ward, "Real pixels", Graphics Gems II, 1991. */
  private void hdr(String name, float[][] planes) throws IOException {
    try (OutputStream out =
        new BufferedOutputStream(Files.newOutputStream(folder.resolve(name + ".hdr")))) {
      String head =
          "#?RADIANCE\nFORMAT=32-bit_rle_rgbe\n\n-Y "
              + radiance.height()
              + " +X "
              + radiance.width()
              + "\n";
      out.write(head.getBytes(StandardCharsets.US_ASCII));
      byte[] pixel = new byte[4];
      for (int i = 0; i < planes[0].length; i++) {
        rgbe(planes[0][i], planes[1][i], planes[2][i], pixel);
        out.write(pixel);
      }
    }
  }

  /** Writes a colour as three mantissas and a common exponent. */
  static void rgbe(float r, float g, float b, byte[] out) {
    float most = Math.max(r, Math.max(g, b));
    if (!(most > 1e-32f)) {
      out[0] = out[1] = out[2] = out[3] = 0;
      return;
    }
    int exponent = Math.getExponent(most) + 1;
    double scale = Math.scalb(256.0, -exponent);
    out[0] = (byte) (int) Math.max(0, Math.min(255, r * scale));
    out[1] = (byte) (int) Math.max(0, Math.min(255, g * scale));
    out[2] = (byte) (int) Math.max(0, Math.min(255, b * scale));
    out[3] = (byte) (exponent + 128);
  }

  private void grey(String name, float[] share) throws IOException {
    short[] codes = new short[share.length * 3];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (short) Math.round(65535 * Math.max(0, Math.min(1, share[i / 3])));
    }
    png(name, codes);
  }

  private void normals(float[][] normal) throws IOException {
    short[] codes = new short[normal[0].length * 3];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (short) Math.round(32767.5 + 32767 * normal[i % 3][i / 3]);
    }
    png("normals", codes);
  }

  private void png(String name, short[] codes) throws IOException {
    try (OutputStream out =
        new BufferedOutputStream(Files.newOutputStream(folder.resolve(name + ".png")))) {
      PictureWriter.png(
          PictureWriter.image16(radiance.width(), radiance.height(), codes), Legend.NONE, out);
    }
  }
}
