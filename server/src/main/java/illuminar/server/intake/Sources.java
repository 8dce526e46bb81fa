package illuminar.server.intake;

import illuminar.core.intake.Grouping;
import illuminar.files.BadPicture;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.annotation.Import;
import org.springframework.stereotype.Component;

/** All that waits to be taken in for a shoot, whatever source it lies in. */
@Component
@Import(CardReader.class)
public class Sources {
  private final List<Source> sources;
  private final FrameReader reader;

  Sources(List<Source> sources, FrameReader reader) {
    this.sources = sources;
    this.reader = reader;
  }

  /** A file that could be read; its id is the source's and its name. */
  record Frame(String id, String name, FrameReader.Read read) {}

  /** A file that stays where it is, with its reason. */
  public record Refused(@NotNull String source, @NotNull String name, @NotNull String reason) {}

  /** What waits: readable files, and those that are not. */
  record Contents(List<Frame> files, List<Refused> refused) {
    /** The readable files as the rules sort them into views. */
    List<Grouping.View> views() {
      return Grouping.views(files.stream().map(f -> f.read().found(f.id())).toList());
    }
  }

  /** Reads all that waits for a shoot. */
  Contents read(UUID shoot) {
    List<Frame> files = new ArrayList<>();
    List<Refused> refused = new ArrayList<>();
    Map<String, String> first = new HashMap<>();
    for (Source source : sources) {
      List<Source.Waiting> waiting = source.files(shoot);
      waiting.parallelStream().forEach(this::quietly);
      for (Source.Waiting w : waiting) {
        String name = w.name();
        try {
          FrameReader.Read r = reader.read(w);
          String twin = first.putIfAbsent(r.sha256(), name);
          if (twin != null) {
            refused.add(refused(source, name, name + ": the same picture as " + twin));
          } else if (r.blocked() > 0.995) {
            refused.add(refused(source, name, name + ": a misfire, the frame is black"));
          } else {
            files.add(new Frame(id(source, name), name, r));
          }
        } catch (BadPicture e) {
          refused.add(refused(source, name, e.getMessage()));
        }
      }
    }
    return new Contents(withoutCopies(files, refused), refused);
  }

  /**
   * Of a raw file and the camera's own picture of the same exposure the raw file is the frame; the
   * other stays where it is.
   */
  private static List<Frame> withoutCopies(List<Frame> files, List<Refused> refused) {
    Map<String, Frame> raws = new HashMap<>();
    files.stream().filter(f -> f.read().header().raw()).forEach(f -> raws.put(exposure(f), f));
    List<Frame> out = new ArrayList<>();
    for (Frame f : files) {
      Frame raw = f.read().header().raw() ? null : raws.get(exposure(f));
      if (raw == null) {
        out.add(f);
      } else {
        String source = f.id().substring(0, f.id().indexOf('/'));
        refused.add(
            new Refused(source, f.name(), f.name() + ": the same exposure as " + raw.name()));
      }
    }
    return out;
  }

  /** A camera gives both files of an exposure one name, and one time. */
  private static String exposure(Frame f) {
    int end = f.name().lastIndexOf('.');
    String stem = end < 0 ? f.name() : f.name().substring(0, end);
    return stem + " " + f.read().capture().taken().map(t -> t.withNano(0).toString()).orElse("");
  }

  /** What waits for a shoot as the rules sort it into views, its frames by their ids. */
  public List<Grouping.View> views(UUID shoot) {
    return read(shoot).views();
  }

  private void quietly(Source.Waiting file) {
    try {
      reader.read(file);
    } catch (BadPicture e) {
      // said again, in order, by the caller
    }
  }

  private static Refused refused(Source source, String name, String reason) {
    return new Refused(source.id(), name, reason);
  }

  private static String id(Source source, String name) {
    return source.id() + "/" + name;
  }

  /**
   * A file by its id; names lead to nothing but what waits.
   *
   * @throws Problem if there is none
   */
  Source.Waiting file(UUID shoot, String id) {
    return sources.stream()
        .filter(source -> id.startsWith(id(source, "")))
        .findFirst()
        .flatMap(source -> source.file(shoot, id.substring(id(source, "").length())))
        .orElseThrow(() -> Problem.notFound("file among those that wait"));
  }

  FrameReader.Read read(Source.Waiting file) throws BadPicture {
    return reader.read(file);
  }

  /** Files were taken in; sources that need not keep them let them go. */
  void taken(UUID shoot, List<String> ids) {
    for (Source source : sources) {
      String own = id(source, "");
      List<String> names =
          ids.stream().filter(i -> i.startsWith(own)).map(i -> i.substring(own.length())).toList();
      if (!names.isEmpty()) {
        source.taken(shoot, names);
      }
    }
  }
}
