package illuminar.scenes.render;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/**
 * Keeps a rendered view between commands: a line of text (width, height, light names, part names),
 * then the planes as little-endian floats: each light, then the truth's.
 */
public final class RadianceFile {
  private RadianceFile() {}

  public static void write(Path path, Radiance radiance) throws IOException {
    Files.createDirectories(path.toAbsolutePath().getParent());
    Path part = path.resolveSibling(path.getFileName() + ".part");
    try (FileChannel out =
        FileChannel.open(
            part,
            StandardOpenOption.CREATE,
            StandardOpenOption.WRITE,
            StandardOpenOption.TRUNCATE_EXISTING)) {
      out.write(ByteBuffer.wrap(head(radiance)));
      for (float[][] light : radiance.lights()) {
        planes(out, List.of(light));
      }
      planes(out, radiance.truth().planes());
    }
    Files.move(part, path, StandardCopyOption.REPLACE_EXISTING);
  }

  private static void planes(FileChannel out, List<float[]> planes) throws IOException {
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
      Planes planes = (count, n) -> planes(in, count, n);
      return of(head.toString(), planes, planes);
    }
  }

  private interface Planes {
    float[][] next(int count, int n) throws IOException;
  }

  private static byte[] head(Radiance radiance) {
    return String.join(
            ";",
            String.valueOf(radiance.width()),
            String.valueOf(radiance.height()),
            String.join(",", radiance.names()),
            String.join(",", radiance.truth().parts()) + "\n")
        .getBytes(StandardCharsets.US_ASCII);
  }

  private static Radiance of(String head, Planes ofLights, Planes ofSurfaces) throws IOException {
    String[] words = head.split(";", -1);
    int w = Integer.parseInt(words[0]);
    int h = Integer.parseInt(words[1]);
    List<String> names = List.of(words[2].split(","));
    List<String> parts = words[3].isEmpty() ? List.of() : List.of(words[3].split(","));
    float[][][] lights = new float[names.size()][][];
    for (int i = 0; i < lights.length; i++) {
      lights[i] = ofLights.next(3, w * h);
    }
    float[][] truth = ofSurfaces.next(Truth.FIXED + parts.size(), w * h);
    return new Radiance(w, h, names, lights, Truth.of(parts, List.of(truth)));
  }

  /**
   * Writes the same packed, for what ships: 16-bit floats in two gzip streams, the lights in {@code
   * <name>.lights.bin} and what is known of the surfaces in {@code <name>.surfaces.bin}.
   */
  public static void pack(Path folder, String name, Radiance radiance) throws IOException {
    Files.createDirectories(folder);
    List<float[]> lights = new ArrayList<>();
    for (float[][] light : radiance.lights()) {
      lights.addAll(List.of(light));
    }
    pack(folder.resolve(name + LIGHTS), head(radiance), lights);
    pack(folder.resolve(name + SURFACES), new byte[0], radiance.truth().planes());
  }

  private static final String LIGHTS = ".lights.bin";
  private static final String SURFACES = ".surfaces.bin";

  private static void pack(Path path, byte[] head, List<float[]> planes) throws IOException {
    try (OutputStream out =
        new GZIPOutputStream(new BufferedOutputStream(Files.newOutputStream(path)))) {
      out.write(head);
      for (float[] plane : planes) {
        out.write(Half.bytes(plane));
      }
    }
  }

  /** Reads what {@link #pack} wrote. */
  public static Radiance unpack(Path folder, String name) throws IOException {
    try (InputStream lights = packed(folder.resolve(name + LIGHTS));
        InputStream surfaces = packed(folder.resolve(name + SURFACES))) {
      StringBuilder head = new StringBuilder();
      for (int b = lights.read(); b != '\n' && b >= 0; b = lights.read()) {
        head.append((char) b);
      }
      return of(head.toString(), packed(lights), packed(surfaces));
    }
  }

  private static InputStream packed(Path path) throws IOException {
    return new GZIPInputStream(new BufferedInputStream(Files.newInputStream(path)));
  }

  private static Planes packed(InputStream in) {
    return (count, n) -> {
      float[][] planes = new float[count][];
      for (int k = 0; k < count; k++) {
        byte[] bytes = in.readNBytes(2 * n);
        if (bytes.length < 2 * n) {
          throw new IOException("packed radiance ends early");
        }
        planes[k] = Half.floats(bytes);
      }
      return planes;
    };
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
