package illuminar.server.delivery;

import illuminar.server.delivery.format.Formats;
import illuminar.server.storage.Store;
import illuminar.server.web.Problem;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Finished files as they are handed out: one, or all of a delivery in a ZIP. */
@Component
public class Parcels {
  private final DeliveredFiles files;
  private final Formats formats;
  private final Store store;

  Parcels(DeliveredFiles files, Formats formats, Store store) {
    this.files = files;
    this.formats = formats;
    this.store = store;
  }

  /** The files of a delivery. */
  public List<Delivered> of(UUID job) {
    return files.findByJobIdOrderByName(job);
  }

  /**
   * One file.
   *
   * @param kept whether it is to be kept rather than shown
   * @throws Problem if it is no longer there
   */
  public ResponseEntity<Resource> one(Delivered file, boolean kept) throws IOException {
    return named(file.name(), kept)
        .header(HttpHeaders.CONTENT_TYPE, formats.of(file.format()).mediaType())
        .body(new FileSystemResource(place(file)));
  }

  /**
   * All of them, as they are written into the answer.
   *
   * @param name of the ZIP, without its ending
   * @throws Problem if one is no longer there
   */
  public ResponseEntity<StreamingResponseBody> all(String name, List<Delivered> all)
      throws IOException {
    if (all.isEmpty()) {
      throw Problem.notFound("delivery");
    }
    Map<String, Path> places = new LinkedHashMap<>();
    for (Delivered file : all) {
      places.put(file.name(), place(file));
    }
    return named(name + ".zip", true)
        .header(HttpHeaders.CONTENT_TYPE, "application/zip")
        .body(out -> write(places, out));
  }

  private static void write(Map<String, Path> places, OutputStream to) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(new BufferedOutputStream(to))) {
      // pictures are packed already
      zip.setLevel(Deflater.NO_COMPRESSION);
      for (Map.Entry<String, Path> file : places.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        Files.copy(file.getValue(), zip);
        zip.closeEntry();
      }
    }
  }

  private Path place(Delivered file) throws IOException {
    try {
      return store.find(file.path());
    } catch (NoSuchFileException e) {
      throw new Problem(HttpStatus.GONE, file.name() + " is no longer kept; deliver it again.");
    }
  }

  private static ResponseEntity.BodyBuilder named(String name, boolean kept) {
    ContentDisposition.Builder how =
        kept ? ContentDisposition.attachment() : ContentDisposition.inline();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            how.filename(name, StandardCharsets.UTF_8).build().toString());
  }
}
