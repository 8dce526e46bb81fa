package illuminar.files;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** A progressive JPEG one of whose scans comes ten thousand times. Source: ITU-T T.81. */
final class EndlessScans {
  /** The marker with which a scan starts. */
  private static final int SCAN = 0xda;

  private EndlessScans() {}

  /** Writes scans.jpg. */
  static Path in(Path folder) throws IOException {
    byte[] jpeg = progressive();
    int first = marker(jpeg, SCAN, 0);
    int second = marker(jpeg, SCAN, first + 2);
    int third = marker(jpeg, SCAN, second + 2);
    Path file = folder.resolve("scans.jpg");
    try (OutputStream out = Files.newOutputStream(file)) {
      out.write(jpeg, 0, third);
      for (int i = 0; i < 10_000; i++) {
        out.write(jpeg, second, third - second);
      }
      out.write(jpeg, third, jpeg.length - third);
    }
    return file;
  }

  private static byte[] progressive() throws IOException {
    BufferedImage image = new BufferedImage(1600, 1200, BufferedImage.TYPE_3BYTE_BGR);
    for (int i = 0; i < 1600 * 1200; i++) {
      image.setRGB(i % 1600, i / 1600, i * 7919);
    }
    ByteArrayOutputStream once = new ByteArrayOutputStream();
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam param = writer.getDefaultWriteParam();
    param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
    writer.setOutput(ImageIO.createImageOutputStream(once));
    writer.write(null, new IIOImage(image, null, null), param);
    ((ImageOutputStream) writer.getOutput()).close();
    return once.toByteArray();
  }

  private static int marker(byte[] jpeg, int code, int from) {
    for (int i = from; i < jpeg.length - 1; i++) {
      if ((jpeg[i] & 255) == 0xff && (jpeg[i + 1] & 255) == code) {
        return i;
      }
    }
    throw new IllegalStateException("no such marker");
  }
}
