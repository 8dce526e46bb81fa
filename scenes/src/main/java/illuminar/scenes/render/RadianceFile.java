package illuminar.scenes.render;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.List;

/**
 * Keeps a rendered view between commands: a line of text (width, height, light names), then the
 * planes as little-endian floats: each light, outside share, view, albedo.
 */
public final class RadianceFile {
  private RadianceFile() {}

  public static void write(Path path, Radiance radiance) throws IOException {
    Files.createDirectories(path.toAbsolutePath().getParent());
    Path part = path.resolveSibling(path.getFileName() + ".part");
    String head =
        radiance.width()
            + " "
            + radiance.height()
            + " "
            + String.join(",", radiance.names())
            + "\n";
    try (FileChannel out =
        FileChannel.open(
            part,
            StandardOpenOption.CREATE,
            StandardOpenOption.WRITE,
            StandardOpenOption.TRUNCATE_EXISTING)) {
      out.write(ByteBuffer.wrap(head.getBytes(StandardCharsets.US_ASCII)));
      for (float[][] light : radiance.lights()) {
        planes(out, light);
      }
      planes(out, radiance.outside());
      planes(out, radiance.view());
      planes(out, radiance.albedo());
    }
    Files.move(part, path, StandardCopyOption.REPLACE_EXISTING);
  }

  private static void planes(FileChannel out, float[]... planes) throws IOException {
    for (float[] plane : planes) {
      ByteBuffer bytes = ByteBuffer.allocate(plane.length * 4).order(ByteOrder.LITTLE_ENDIAN);
      bytes.asFloatBuffer().put(plane);
      while (bytes.hasRemaining()) {
        out.write(bytes);
      }
    }
  }

  public static Radiance read(Path path) throws IOException {
    try (FileChannel in = FileChannel.open(path)) {
      StringBuilder head = new StringBuilder();
      ByteBuffer one = ByteBuffer.allocate(1);
      while (in.read(one) == 1 && one.get(0) != '\n') {
        head.append((char) one.get(0));
        one.clear();
      }
      String[] words = head.toString().split(" ");
      int w = Integer.parseInt(words[0]);
      int h = Integer.parseInt(words[1]);
      List<String> names = List.of(words[2].split(","));
      float[][][] lights = new float[names.size()][][];
      for (int i = 0; i < lights.length; i++) {
        lights[i] = planes(in, 3, w * h);
      }
      return new Radiance(
          w, h, names, lights, planes(in, 1, w * h)[0], planes(in, 3, w * h), planes(in, 3, w * h));
    }
  }

  private static float[][] planes(FileChannel in, int count, int n) throws IOException {
    float[][] planes = new float[count][n];
    for (float[] plane : planes) {
      ByteBuffer bytes = ByteBuffer.allocate(n * 4).order(ByteOrder.LITTLE_ENDIAN);
      while (bytes.hasRemaining()) {
        if (in.read(bytes) < 0) {
          throw new IOException("radiance file ends early");
        }
      }
      bytes.flip().order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer().get(plane);
    }
    return planes;
  }
}
