package illuminar.server.storage;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Files in a folder of this machine. */
final class FolderStore implements Store {
  private final Path folder;

  /** What a crash left half written is swept away. */
  FolderStore(Path folder) throws IOException {
    this.folder = folder.toAbsolutePath();
    WrittenWhole.sweep(folder.resolve("originals"));
    WrittenWhole.sweep(folder.resolve("arrived"));
    WrittenWhole.sweep(folder.resolve("delivered"));
  }

  @Override
  public void write(String name, WrittenWhole.Step write, WrittenWhole.Step check)
      throws IOException {
    Path target = place(name);
    Files.createDirectories(target.getParent());
    WrittenWhole.write(target, write, check);
    try (FileChannel place = FileChannel.open(target.getParent())) {
      place.force(true);
    }
  }

  @Override
  public Path find(String name) throws IOException {
    Path file = place(name);
    if (!Files.exists(file)) {
      throw new NoSuchFileException(name);
    }
    return file;
  }

  @Override
  public boolean has(String name) {
    return Files.exists(place(name));
  }

  @Override
  public void letGo(String name) throws IOException {
    Files.deleteIfExists(place(name));
  }

  private Path place(String name) {
    Path place = folder.resolve(name).normalize();
    if (!place.startsWith(folder)) {
      throw new IllegalArgumentException("no name in this store: " + name);
    }
    return place;
  }
}
