package illuminar.scenes;

import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** Writes planes of one size into a folder, in open formats. */
record TruthFiles(Path folder, int width, int height) {

  /** Shared-exponent pixels. Source: Ward, "Real pixels", Graphics Gems II, 1991. */
  void hdr(String name, float[][] planes) throws IOException {
    try (OutputStream out =
        new BufferedOutputStream(Files.newOutputStream(folder.resolve(name + ".hdr")))) {
      String head = "#?RADIANCE\nFORMAT=32-bit_rle_rgbe\n\n-Y " + height + " +X " + width + "\n";
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

  void grey(String name, float[] share) throws IOException {
    short[] codes = new short[share.length * 3];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (short) Math.round(65535 * Math.max(0, Math.min(1, share[i / 3])));
    }
    png(name, codes);
  }

  void png(String name, short[] codes) throws IOException {
    try (OutputStream out =
        new BufferedOutputStream(Files.newOutputStream(folder.resolve(name + ".png")))) {
      PictureWriter.png(PictureWriter.image16(width, height, codes), Legend.NONE, out);
    }
  }

  /** A mask of 8 bits. */
  void mask(String name, float[] share) throws IOException {
    byte[] codes = new byte[share.length * 3];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (byte) Math.round(255 * Math.max(0, Math.min(1, share[i / 3])));
    }
    Path file = folder.resolve(name + ".png");
    Files.createDirectories(file.getParent());
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      PictureWriter.png(PictureWriter.image8(width, height, codes), Legend.NONE, out);
    }
  }
}
