package illuminar.server.intake;

import illuminar.core.colour.Burnt;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import illuminar.core.intake.Grouping;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.files.BadPicture;
import illuminar.files.Capture;
import illuminar.files.Header;
import illuminar.files.PictureReader;
import illuminar.files.ScreenJpeg;
import illuminar.server.Settings;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The simulated card reader: a folder that behaves like a memory card. It is only ever read. What
 * was read of a file is remembered as long as its size and time stay.
 */
@Component
public class Card {
  private static final int THUMB = 360;

  private final Path folder;
  private final Map<String, Read> known = new ConcurrentHashMap<>();

  Card(Settings settings) {
    folder = settings.card().toAbsolutePath();
  }

  /** One file that could be read. */
  record Read(
      String name,
      long size,
      long modified,
      String sha256,
      Header header,
      Capture capture,
      double middle,
      double burnt,
      double blocked,
      byte[] thumb) {}

  /** A file that stays on the card, with its reason. */
  public record Refused(String name, String reason) {}

  /** What is on the card: readable files, and those that are not. */
  record Contents(List<Read> files, List<Refused> refused) {
    /** The readable files as the rules sort them into views. */
    List<Grouping.View> views() {
      return Grouping.views(files.stream().map(Card::found).toList());
    }
  }

  /** Reads the whole card. */
  Contents read() {
    List<Path> paths;
    try (Stream<Path> list = Files.list(folder)) {
      paths =
          list.filter(Files::isRegularFile)
              .filter(p -> !p.getFileName().toString().startsWith("."))
              .sorted()
              .toList();
    } catch (IOException e) {
      throw new Problem(HttpStatus.NOT_FOUND, "There is no card in the reader.");
    }
    List<Read> files = new ArrayList<>();
    List<Refused> refused = new ArrayList<>();
    Map<String, String> first = new HashMap<>();
    paths.parallelStream().forEach(p -> quietly(p));
    for (Path p : paths) {
      String name = p.getFileName().toString();
      try {
        Read r = read(p, name);
        String twin = first.putIfAbsent(r.sha256, name);
        if (twin != null) {
          refused.add(new Refused(name, name + ": the same picture as " + twin));
        } else if (r.blocked > 0.995) {
          refused.add(new Refused(name, name + ": a misfire, the frame is black"));
        } else {
          files.add(r);
        }
      } catch (BadPicture e) {
        refused.add(new Refused(name, e.getMessage()));
      }
    }
    return new Contents(files, refused);
  }

  private void quietly(Path p) {
    try {
      read(p, p.getFileName().toString());
    } catch (BadPicture e) {
      // said again, in order, by the caller
    }
  }

  /** One file of the card by name; names never leave the card's folder. */
  Path path(String name) {
    Path p = folder.resolve(name).normalize();
    if (!folder.equals(p.getParent()) || !Files.isRegularFile(p)) {
      throw Problem.notFound("file on the card");
    }
    return p;
  }

  Read read(String name) throws BadPicture {
    return read(path(name), name);
  }

  private Read read(Path p, String name) throws BadPicture {
    try {
      long size = Files.size(p);
      long modified = Files.getLastModifiedTime(p).toMillis();
      Read old = known.get(name);
      if (old != null && old.size == size && old.modified == modified) {
        return old;
      }
      Header header = PictureReader.header(p, name);
      Capture capture = PictureReader.capture(p, name);
      Codes codes = PictureReader.pixels(p, name);
      Pyramid pyramid = Pyramid.of(codes);
      Raster raster = Raster.fitted(codes.width(), codes.height(), THUMB);
      Picture small = pyramid.draw(raster, Similarity.NONE, codes.width(), codes.height());
      double[] tone = tone(small);
      WorkingSpace.fromSrgb(small.planes());
      byte[] thumb = ScreenJpeg.of(small, 0.82);
      Header upright = new Header(header.format(), codes.width(), codes.height());
      Read read =
          new Read(
              name, size, modified, sha(p), upright, capture, tone[0], tone[1], tone[2], thumb);
      known.put(name, read);
      return read;
    } catch (IOException e) {
      throw new BadPicture(name, "the file cannot be read (" + e.getMessage() + ")", e);
    }
  }

  /** Mean code, burnt share and blocked share of a display-linear picture. */
  static double[] tone(Picture p) {
    double sum = 0;
    int burnt = 0;
    int blocked = 0;
    for (int i = 0; i < p.g().length; i++) {
      sum += illuminar.core.colour.Srgb.encodeFast(p.g()[i]);
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      burnt += most > Burnt.IN_FILE ? 1 : 0;
      blocked += most < 0.0009f ? 1 : 0;
    }
    double n = p.g().length;
    return new double[] {sum / n, burnt / n, blocked / n};
  }

  private static String sha(Path p) throws IOException {
    try {
      return HexFormat.of()
          .formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(p)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The card's frames as the rules sort them into views. */
  public List<Grouping.View> views() {
    return read().views();
  }

  /** A file as the grouping rules see it. */
  private static Grouping.Found found(Read r) {
    return new Grouping.Found(
        r.name,
        r.capture.taken(),
        r.capture.exposure().map(e -> OptionalDouble.of(e.stops())).orElse(OptionalDouble.empty()),
        r.capture.flash(),
        r.header.width(),
        r.header.height(),
        r.middle);
  }
}
