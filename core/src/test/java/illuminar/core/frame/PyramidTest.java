package illuminar.core.frame;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is drawn does not depend on what of a frame is here. Our own law. */
class PyramidTest {
  private static final int WIDTH = 640;
  private static final int HEIGHT = 418;
  private final AtomicInteger reads = new AtomicInteger();

  private static Codes codes() {
    Random chance = new Random(5);
    byte[] rgb = new byte[3 * WIDTH * HEIGHT];
    chance.nextBytes(rgb);
    return Codes.of8(WIDTH, HEIGHT, rgb);
  }

  private Codes read() {
    reads.incrementAndGet();
    return codes();
  }

  private static Picture drawn(Pyramid frame, double scale) {
    Raster raster = Raster.whole(WIDTH, HEIGHT, scale);
    Similarity moved = new Similarity(1, 0.004, 1.3, -0.7);
    return frame.draw(raster, moved, WIDTH, HEIGHT);
  }

  @ParameterizedTest
  @CsvSource({"1, 1", "0.6, 1", "0.4, 1", "0.3, 1", "0.2, 1", "0.15, 0", "0.1, 0", "0.03, 0"})
  void aFrameOfSomeLevelsDrawsTheSameAndReadsOnlyWhatItMust(double scale, int wanted) {
    Pyramid whole = Pyramid.of(codes());
    Pyramid part = Pyramid.ofLevels(WIDTH, HEIGHT, false, whole.levelsFrom(2), this::read);
    Picture want = drawn(whole, scale);
    Picture got = drawn(part, scale);
    for (int c = 0; c < 3; c++) {
      assertThat(got.channel(c)).isEqualTo(want.channel(c));
    }
    assertThat(reads).hasValue(wanted);
  }

  @Test
  void itIsReadOnceUntilItIsLetGo() {
    Pyramid whole = Pyramid.of(codes());
    Pyramid frame = whole.readAgain(2, this::read);
    long all = frame.bytes();
    assertThat(all).isEqualTo(whole.bytes());
    drawn(frame, 1);
    assertThat(reads).hasValue(0);
    frame.letGo();
    assertThat(frame.bytes()).isLessThan(all / 6);
    drawn(frame, 0.1);
    assertThat(reads).hasValue(0);
    frame.ready(1);
    drawn(frame, 1);
    drawn(frame, 0.3);
    assertThat(reads).hasValue(1);
    assertThat(frame.bytes()).isEqualTo(all);
  }

  @Test
  void whatCannotBeReadAgainIsNotLetGo() {
    Pyramid frame = Pyramid.of(codes());
    long all = frame.bytes();
    frame.letGo();
    assertThat(frame.bytes()).isEqualTo(all);
  }

  /** A frame whose half size is kept: small rasters need nothing read. */
  @Test
  void itSaysWhatItCanDrawWithoutReading() {
    Pyramid frame = Pyramid.of(codes()).readAgain(1, this::read);
    assertThat(frame.here(1)).isTrue();
    frame.letGo();
    assertThat(frame.here(1)).isFalse();
    assertThat(frame.here(0.3)).isTrue();
    drawn(frame, 0.3);
    assertThat(reads).hasValue(0);
    drawn(frame, 1);
    assertThat(reads).hasValue(1);
  }

  @Test
  void halvedLevelsAreTheSame() {
    Pyramid whole = Pyramid.of(codes());
    Pyramid part = Pyramid.ofLevels(WIDTH, HEIGHT, false, whole.levelsFrom(3), this::read);
    for (int power = 0; power <= whole.halvings(); power++) {
      assertThat(part.halved(power).g()).isEqualTo(whole.halved(power).g());
    }
  }
}
