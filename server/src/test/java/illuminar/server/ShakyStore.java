package illuminar.server;

import illuminar.server.storage.Store;
import illuminar.server.storage.WrittenWhole;
import java.io.IOException;
import java.nio.file.Path;

/** The usual store, but for writing, which may fail. */
abstract class ShakyStore implements Store {
  private final Store usual;

  ShakyStore(Store usual) {
    this.usual = usual;
  }

  /** Fails, or does nothing. */
  abstract void fail(String name) throws IOException;

  @Override
  public void write(String name, WrittenWhole.Step write, WrittenWhole.Step check)
      throws IOException {
    fail(name);
    usual.write(name, write, check);
  }

  @Override
  public boolean has(String name) throws IOException {
    return usual.has(name);
  }

  @Override
  public void letGo(String name) throws IOException {
    usual.letGo(name);
  }

  @Override
  public Path find(String name) throws IOException {
    return usual.find(name);
  }
}
