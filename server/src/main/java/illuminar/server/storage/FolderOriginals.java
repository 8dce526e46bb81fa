package illuminar.server.storage;

import illuminar.server.Settings;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Originals in a folder, two levels deep by the first digits of their content's hash. */
@Component
public class FolderOriginals implements Originals {
  private final Path folder;

  FolderOriginals(Settings settings) {
    folder = settings.home().toAbsolutePath().resolve("originals");
  }

  @Override
  public String keep(Path file) throws IOException {
    Files.createDirectories(folder);
    Path part = folder.resolve("arriving-" + UUID.randomUUID());
    try {
      String sha = copy(file, part);
      Path place = find(sha);
      if (Files.exists(place)) {
        Files.delete(part);
        return sha;
      }
      Files.createDirectories(place.getParent());
      Files.move(part, place, StandardCopyOption.ATOMIC_MOVE);
      place.toFile().setReadOnly();
      try (FileChannel dir = FileChannel.open(place.getParent())) {
        dir.force(true);
      }
      return sha;
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static String copy(Path from, Path to) throws IOException {
    MessageDigest digest = Sha256.digest();
    try (InputStream in = Files.newInputStream(from);
        FileChannel out =
            FileChannel.open(to, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
      byte[] block = new byte[1 << 20];
      for (int n = in.read(block); n >= 0; n = in.read(block)) {
        digest.update(block, 0, n);
        ByteBuffer bytes = ByteBuffer.wrap(block, 0, n);
        while (bytes.hasRemaining()) {
          out.write(bytes);
        }
      }
      out.force(true);
    }
    return Sha256.words(digest);
  }

  @Override
  public void letGo(String sha256) throws IOException {
    Files.deleteIfExists(find(sha256));
  }

  @Override
  public Path find(String sha256) {
    if (!sha256.matches("[0-9a-f]{64}")) {
      throw new IllegalArgumentException("not a content hash");
    }
    return folder.resolve(sha256.substring(0, 2)).resolve(sha256);
  }
}
