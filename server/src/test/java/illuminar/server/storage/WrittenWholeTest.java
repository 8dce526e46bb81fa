package illuminar.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** All or nothing: common practice, no source. */
class WrittenWholeTest {
  @TempDir private Path dir;

  @Test
  void whatIsWrittenAndReadBackIsThere() throws IOException {
    Path target = dir.resolve("hall.jpg");
    WrittenWhole.write(
        target,
        file -> Files.writeString(file, "picture"),
        file -> assertThat(file).hasContent("picture"));
    assertThat(target).hasContent("picture");
    assertThat(dir.toFile().list()).containsExactly("hall.jpg");
  }

  @Test
  void whatCannotBeReadBackIsNotAndWhatWasThereStays() throws IOException {
    Path target = Files.writeString(dir.resolve("hall.jpg"), "before");
    assertThatThrownBy(
            () ->
                WrittenWhole.write(
                    target,
                    file -> Files.writeString(file, "half"),
                    file -> {
                      throw new IOException("not a picture");
                    }))
        .hasMessage("not a picture");
    assertThat(target).hasContent("before");
    assertThat(dir.toFile().list()).containsExactly("hall.jpg");
  }

  @Test
  void whatACrashLeftIsSwept() throws IOException {
    Path place = Files.createDirectories(dir.resolve("crashed"));
    Files.write(place.resolve("hall.jpg.part"), new byte[7]);
    Files.write(place.resolve("hall.jpg"), new byte[7]);
    WrittenWhole.sweep(dir);
    WrittenWhole.sweep(dir.resolve("no such folder"));
    assertThat(place.toFile().list()).containsExactly("hall.jpg");
  }
}
