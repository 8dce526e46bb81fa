package illuminar.server.kept;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.picture.Plane;
import illuminar.core.shelf.Shelf;
import illuminar.server.Settings;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.util.unit.DataSize;

/** What is kept on disk is exact, bounded, and never needed. Our own law. */
class KeptTest {
  @TempDir private Path home;
  private Kept kept;

  @BeforeEach
  void open() {
    kept =
        new Kept(
            new Settings(
                home, List.of(home), false, home, DataSize.ofBytes(1000), 0.5, false, List.of()));
  }

  private void write(String name, int bytes) throws InterruptedException {
    kept.write(name, out -> out.write(new byte[bytes]));
    kept.settle();
  }

  private Path file(String name) {
    return home.resolve("kept").resolve(name);
  }

  private Optional<Integer> size(String name) {
    return kept.read(name, in -> in.readAllBytes().length);
  }

  @Test
  void whatWasNotReadForLongestGoesFirst() throws Exception {
    write("a", 400);
    write("b", 400);
    write("c", 400);
    Instant before = Instant.now().minusSeconds(1000);
    Files.setLastModifiedTime(file("a"), FileTime.from(before));
    Files.setLastModifiedTime(file("b"), FileTime.from(before.plusSeconds(10)));
    Files.setLastModifiedTime(file("c"), FileTime.from(before.plusSeconds(20)));
    assertThat(size("a")).contains(400);
    kept.sweep();
    assertThat(size("b")).isEmpty();
    assertThat(size("a")).contains(400);
    assertThat(size("c")).contains(400);
  }

  @Test
  void whatACrashLeftHalfWrittenIsSwept() throws Exception {
    write("a", 10);
    Path half = Files.write(file("a.1.part"), new byte[10]);
    Path fresh = Files.write(file("b.1.part"), new byte[10]);
    Files.setLastModifiedTime(half, FileTime.from(Instant.now().minusSeconds(3600)));
    kept.sweep();
    assertThat(half).doesNotExist();
    assertThat(fresh).exists();
    assertThat(size("a")).contains(10);
  }

  @Test
  void whatCannotBeReadIsNotThere() throws Exception {
    write("a", 10);
    Optional<Plane> plane = kept.read("a", (InputStream in) -> Packed.read(Plane.class, in));
    assertThat(plane).isEmpty();
    assertThat(kept.read("never", InputStream::read)).isEmpty();
  }

  private static Codes codes() {
    Random chance = new Random(9);
    byte[] rgb = new byte[3 * 301 * 203];
    chance.nextBytes(rgb);
    return Codes.of8(301, 203, rgb);
  }

  @Test
  void levelsComeBackAsTheyWere() throws Exception {
    KeptFrames frames = new KeptFrames(kept);
    Pyramid whole = Pyramid.of(codes());
    frames.keep("abc", whole, KeptTest::codes);
    kept.settle();
    Pyramid back = frames.find("abc", KeptTest::codes).orElseThrow();
    assertThat(back.linear()).isFalse();
    List<Pyramid.Level> want = whole.levelsFrom(1);
    List<Pyramid.Level> got = back.levelsFrom(1);
    assertThat(got).hasSameSizeAs(want);
    for (int i = 0; i < want.size(); i++) {
      assertThat(got.get(i).power()).isEqualTo(want.get(i).power());
      assertThat(got.get(i).width()).isEqualTo(want.get(i).width());
      assertThat(got.get(i).codes()).isEqualTo(want.get(i).codes());
    }
    byte[] written = Files.readAllBytes(file("frames/4/abc"));
    written[written.length / 2] ^= 1;
    Files.write(file("frames/4/abc"), written);
    assertThat(frames.find("abc", KeptTest::codes)).as("one bit is another").isEmpty();
    Files.write(file("frames/4/abc"), new byte[] {1, 2, 3});
    assertThat(frames.find("abc", KeptTest::codes)).as("made anew").isEmpty();
  }

  @Test
  void levelsOfWideFramesComeBackWide() throws Exception {
    KeptFrames frames = new KeptFrames(kept);
    short[] rgb = new short[3 * 301 * 203];
    for (int i = 0; i < rgb.length; i++) {
      rgb[i] = Codes.wide(-0.4f + i % 900 / 600f);
    }
    Pyramid whole = Pyramid.of(Codes.ofWide(301, 203, rgb, false));
    frames.keep("wide", whole, KeptTest::codes);
    kept.settle();
    Pyramid back = frames.find("wide", KeptTest::codes).orElseThrow();
    assertThat(back.wide()).isTrue();
    assertThat(back.halved(2).r()).isEqualTo(whole.halved(2).r());
  }

  @Test
  void findingsAreOfTheirFramesAndOfThisCore() throws Exception {
    KeptFindings findings = new KeptFindings(kept, new CoreVersion());
    Plane plane = new Plane(2, 1, new float[] {0.5f, -1});
    Shelf shelf = findings.of(List.of("frame one", "frame two"));
    assertThat(shelf.find(Plane.class, "edge")).isEmpty();
    shelf.put("edge", plane);
    kept.settle();
    Shelf again = new KeptFindings(kept, new CoreVersion()).of(List.of("frame one", "frame two"));
    assertThat(again.find(Plane.class, "edge").orElseThrow().data()).isEqualTo(plane.data());
    assertThat(again.find(Plane.class, "edges")).isEmpty();
    assertThat(findings.of(List.of("frame one")).find(Plane.class, "edge")).isEmpty();
    assertThat(files()).as("put once, however often it is asked for").isEqualTo(1);
  }

  private long files() throws IOException {
    try (Stream<Path> all = Files.walk(home.resolve("kept/findings"))) {
      return all.filter(Files::isRegularFile).count();
    }
  }
}
