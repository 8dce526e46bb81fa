package illuminar.benchmarks.cases;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.intake.Grouping;
import illuminar.core.lineup.LinedUp;
import illuminar.files.BadPicture;
import illuminar.files.Capture;
import illuminar.files.PictureReader;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;

/**
 * A folder with the frames of one view, the light that was truly there ({@code truth.hdr}, Radiance
 * RGBE, at the first frame's place), of invented rooms the truth picture ({@code even.hdr}), and
 * masks of where things are ({@code masks/NAME.png}).
 */
final class CaseFolder {
  private final Path folder;
  private final Analysis analysis;

  CaseFolder(Path folder) throws IOException, BadPicture {
    this.folder = folder;
    analysis = new Analysis(linedUp(folder).frames());
  }

  /** The view as the product takes it in: roles, anchor, line-up and response are its own. */
  private static LinedUp linedUp(Path folder) throws IOException, BadPicture {
    List<Grouping.Found> found = new ArrayList<>();
    TreeMap<String, Codes> codes = new TreeMap<>();
    for (Path file : frames(folder)) {
      String name = file.getFileName().toString();
      Codes c = PictureReader.pixels(file, name);
      Capture capture = PictureReader.capture(file, name);
      codes.put(name, c);
      found.add(
          new Grouping.Found(
              name,
              capture.taken(),
              capture
                  .exposure()
                  .map(e -> OptionalDouble.of(e.stops()))
                  .orElse(OptionalDouble.empty()),
              capture.flash(),
              c.width(),
              c.height(),
              c.middle()));
    }
    Grouping.View view = Grouping.view(found);
    List<LinedUp.Taken> taken = new ArrayList<>();
    int anchor = 0;
    for (Grouping.Placed p : view.frames()) {
      if (p.frame().id().equals(view.anchor())) {
        anchor = taken.size();
      }
      taken.add(
          new LinedUp.Taken(
              p.frame().id(),
              p.role(),
              p.frame().stops().orElse(0),
              p.frame().stops().isPresent(),
              Pyramid.of(codes.get(p.frame().id()))));
    }
    return LinedUp.of(taken, anchor, n -> {});
  }

  private static List<Path> frames(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files
          .filter(f -> f.toString().toLowerCase(Locale.ROOT).endsWith(".jpg"))
          .sorted()
          .toList();
    }
  }

  String name() {
    return folder.getFileName().toString();
  }

  Analysis analysis() {
    return analysis;
  }

  /** Whether the light that was there is known. */
  boolean known() {
    return Files.exists(folder.resolve("truth.hdr"));
  }

  /**
   * Light at each pixel of the view, linear sRGB primaries, out of {@code NAME.hdr} if it exists.
   */
  Optional<float[]> light(String name) {
    Path file = folder.resolve(name + ".hdr");
    return Files.exists(file) ? Optional.of(read(file)) : Optional.empty();
  }

  private float[] read(Path file) {
    Mat read =
        opencv_imgcodecs.imread(
            file.toString(), opencv_imgcodecs.IMREAD_ANYDEPTH | opencv_imgcodecs.IMREAD_COLOR);
    FloatIndexer at = read.createIndexer();
    int w = analysis.fullWidth();
    int h = analysis.fullHeight();
    float[] out = new float[3 * w * h];
    for (int y = 0; y < h; y++) {
      int v = nearest(y, h, read.rows());
      for (int x = 0; x < w; x++) {
        int u = nearest(x, w, read.cols());
        for (int c = 0; c < 3; c++) {
          out[3 * (y * w + x) + c] = at.get(v, u, 2 - c);
        }
      }
    }
    return out;
  }

  private static int nearest(int x, int of, int size) {
    return Math.min(size - 1, (int) Math.round((x + 0.5) * size / of - 0.5));
  }

  /** Where a thing is, 0 to 255 for each pixel of the view; empty where there is no such mask. */
  Optional<int[]> mask(String name) {
    Path file = folder.resolve("masks").resolve(name + ".png");
    if (!Files.exists(file)) {
      return Optional.empty();
    }
    Mat read = opencv_imgcodecs.imread(file.toString(), opencv_imgcodecs.IMREAD_GRAYSCALE);
    Mat sized = new Mat();
    int w = analysis.fullWidth();
    int h = analysis.fullHeight();
    opencv_imgproc.resize(read, sized, new Size(w, h), 0, 0, opencv_imgproc.INTER_CUBIC);
    if (sized.depth() != opencv_core.CV_8U) {
      throw new IllegalArgumentException(file + " does not hold 8 bits");
    }
    UByteIndexer at = sized.createIndexer();
    int[] out = new int[w * h];
    for (int i = 0; i < out.length; i++) {
      out[i] = at.get(i / w, i % w);
    }
    return Optional.of(out);
  }
}
