package illuminar.server.upload;

import illuminar.server.Settings;
import illuminar.server.storage.Sha256;
import illuminar.server.web.Problem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Locale;
import java.util.UUID;
import me.desair.tus.server.HttpHeader;
import me.desair.tus.server.TusFileUploadService;
import me.desair.tus.server.exception.TusException;
import me.desair.tus.server.upload.UploadInfo;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Resumable uploads by the open tus protocol, version 1.0.0 (tus.io): creation, checksum,
 * termination, expiration. A file that was sent whole is checked against the hash that its sender
 * named and handed to {@link Arrived}.
 */
@Component
class Uploads {
  /** The largest file, bytes. */
  static final long MOST = 2L << 30;

  /** Room that uploads leave on the disk, bytes. */
  private static final long LEFT = 256L << 20;

  /** How long a file that was not sent to its end is kept. */
  private static final Duration KEPT = Duration.ofDays(7);

  private static final String BASE = "/api/shoots/[0-9a-f-]{36}/uploads";

  /** The protocol's answer where a file is not what it was said to be. */
  private static final int CHECKSUM_MISMATCH = 460;

  private final TusFileUploadService tus;
  private final Path folder;
  private final Arrived arrived;

  Uploads(Settings settings, Arrived arrived) {
    this.arrived = arrived;
    folder = settings.home().toAbsolutePath().resolve("arriving");
    tus =
        new TusFileUploadService()
            .withUploadUri(BASE)
            .withStoragePath(folder.toString())
            .withMaxUploadSize(MOST)
            .withUploadExpirationPeriod(KEPT.toMillis())
            .disableTusExtension("concatenation");
  }

  /** Room for what is still to be sent, bytes. */
  long room() throws IOException {
    Files.createDirectories(folder);
    return Math.max(0, folder.toFile().getUsableSpace() - LEFT);
  }

  /** Answers one request of the protocol for a shoot. */
  void answer(UUID shoot, HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    if (request.getMethod().equals("POST")) {
      checkRoom(request);
    }
    String owner = shoot.toString();
    tus.process(request, new PlainStatus(response), owner);
    if (request.getMethod().equals("PATCH") || request.getMethod().equals("HEAD")) {
      finish(shoot, request.getRequestURI(), owner, response);
    }
  }

  private void checkRoom(HttpServletRequest request) throws IOException {
    String length = request.getHeader(HttpHeader.UPLOAD_LENGTH);
    if (length != null && length.matches("[0-9]{1,18}") && Long.parseLong(length) > room()) {
      throw new Problem(
          HttpStatus.INSUFFICIENT_STORAGE,
          String.format(
              Locale.ROOT,
              "The disk has room for %.1f GB, the file needs %.1f GB.",
              room() / 1e9,
              Long.parseLong(length) / 1e9));
    }
  }

  /** Hands over what has been sent to its end; after a crash the next question does it. */
  private void finish(UUID shoot, String uri, String owner, HttpServletResponse response)
      throws IOException {
    try {
      UploadInfo info = tus.getUploadInfo(uri, owner);
      if (info == null || info.isUploadInProgress()) {
        return;
      }
      Path file = folder.resolve("uploads").resolve(info.getId().toString()).resolve("data");
      String sha = Sha256.of(file);
      String named = info.getMetadata().getOrDefault("sha256", sha);
      if (sha.equals(named)) {
        arrived.come(shoot, info.getMetadata().getOrDefault("filename", ""), sha, file);
      } else {
        response.reset();
        response.setStatus(CHECKSUM_MISMATCH);
      }
      tus.deleteUpload(uri, owner);
    } catch (TusException e) {
      throw new IOException(e);
    }
  }

  /** Sweeps what was never sent to its end. */
  @Scheduled(fixedDelay = 6 * 3600 * 1000L)
  void sweep() throws IOException {
    // the library expects the folders that its first upload makes
    if (Files.isDirectory(folder.resolve("locks"))) {
      tus.cleanup();
    }
  }
}
