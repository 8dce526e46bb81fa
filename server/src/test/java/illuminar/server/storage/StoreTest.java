package illuminar.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.server.web.Outage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * What every store promises, of a folder and of a bucket. The bucket is served by S3Proxy, which
 * speaks the protocol of the Amazon S3 API Reference.
 */
class StoreTest {
  private static final String NAME = "originals/ab/abcdef";

  @TempDir private Path dir;
  private Bucketed service;

  @BeforeEach
  void begin() throws Exception {
    service = new Bucketed();
  }

  @AfterEach
  void end() throws Exception {
    service.close();
  }

  private Store store(String kind) throws IOException {
    return kind.equals("folder")
        ? new FolderStore(dir.resolve("home"))
        : new BucketStore(service.bucket(), dir.resolve("copies"));
  }

  private static void write(Store store, String words) throws IOException {
    store.write(NAME, file -> Files.writeString(file, words), file -> {});
  }

  @ParameterizedTest
  @ValueSource(strings = {"folder", "bucket"})
  void whatIsKeptIsThereUntilItIsLetGo(String kind) throws Exception {
    Store store = store(kind);
    assertThat(store.has(NAME)).isFalse();
    write(store, "first");
    assertThat(store.has(NAME)).isTrue();
    assertThat(store.find(NAME)).hasContent("first");
    write(store, "second");
    assertThat(store(kind).find(NAME)).as("another that looks").hasContent("second");
    store.letGo(NAME);
    store.letGo(NAME);
    assertThat(store.has(NAME)).isFalse();
    assertThatThrownBy(() -> store.find(NAME)).isInstanceOf(NoSuchFileException.class);
  }

  @ParameterizedTest
  @ValueSource(strings = {"folder", "bucket"})
  void whatFailsItsCheckIsNotKeptAndLeavesNothing(String kind) throws Exception {
    Store store = store(kind);
    assertThatThrownBy(
            () ->
                store.write(
                    NAME,
                    file -> Files.writeString(file, "half"),
                    file -> {
                      throw new IOException("no picture");
                    }))
        .hasMessage("no picture");
    assertThat(store.has(NAME)).isFalse();
    try (Stream<Path> all = Files.walk(dir)) {
      assertThat(all.filter(Files::isRegularFile)).isEmpty();
    }
  }

  /** Two machines on one bucket. */
  @Test
  void whatOneMachineKeepsAnotherFinds() throws Exception {
    write(store("bucket"), "shared");
    try (BucketStore other = new BucketStore(service.bucket(), dir.resolve("elsewhere"))) {
      assertThat(other.find(NAME)).hasContent("shared");
      // the copy may go at any time
      Files.delete(other.find(NAME));
      assertThat(other.find(NAME)).hasContent("shared");
    }
  }

  @Test
  void aServiceThatIsAwayIsAnOutage() throws Exception {
    Store store = store("bucket");
    service.close();
    assertThatThrownBy(() -> write(store, "lost"))
        .isInstanceOf(StoreAway.class)
        .matches(Outage::is);
  }

  @Test
  void namesDoNotLeadOutOfTheFolder() throws Exception {
    Store store = store("folder");
    assertThatThrownBy(() -> store.find("../outside")).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aFileThatIsAnotherByNowIsNotKept() throws Exception {
    Originals originals = new Originals(store("folder"));
    Path file = Files.writeString(dir.resolve("a.jpg"), "abc");
    String sha = Sha256.of(file);
    Files.writeString(file, "abd");
    assertThatThrownBy(() -> originals.keep(file, sha)).hasMessage("it was not copied as it is");
    assertThatThrownBy(() -> originals.find(sha)).isInstanceOf(NoSuchFileException.class);
  }

  /** FIPS 180-4 names the content; the store keeps one copy of it. */
  @Test
  void anOriginalIsKeptOnceAndNotWrittenToAgain() throws Exception {
    Originals originals = new Originals(store("folder"));
    Path file = Files.writeString(dir.resolve("a.jpg"), "abc");
    String sha = Sha256.of(file);
    assertThat(sha).isEqualTo("ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    originals.keep(file, sha);
    originals.keep(file, sha);
    assertThat(originals.find(sha)).hasContent("abc");
    assertThat(originals.find(sha).toFile().setReadOnly()).isTrue();
    assertThat(Files.getPosixFilePermissions(originals.find(sha)).toString())
        .doesNotContain("WRITE");
    originals.letGo(sha);
    assertThatThrownBy(() -> originals.find(sha)).isInstanceOf(NoSuchFileException.class);
  }
}
