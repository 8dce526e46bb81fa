package illuminar.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.render.OutputSharpness;
import illuminar.core.render.OutputSpace;
import illuminar.core.render.Watermark;
import illuminar.server.delivery.format.Size;
import illuminar.server.delivery.format.Specification;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** One file a view and size, on any file system: common practice, no source. */
class FileNamesTest {
  private static Specification jpeg(String name, int edge, String pattern) {
    return new Specification(
        name,
        edge == 0 ? Size.WHOLE : Size.edge(edge),
        "JPEG",
        OutputSpace.SRGB,
        90,
        false,
        0,
        OutputSharpness.NONE,
        pattern,
        Watermark.NONE);
  }

  private static List<FileNames.Named> views(String... names) {
    List<FileNames.Named> out = new ArrayList<>();
    for (int k = 0; k < names.length; k++) {
      out.add(new FileNames.Named(new UUID(0, k), names[k], "2026-06-11"));
    }
    return out;
  }

  private static List<String> names(int edge, String pattern, String... views) {
    return FileNames.of(
            views(views), "Weather House", List.of(jpeg("a", edge, pattern)), List.of("jpg"))
        .values()
        .stream()
        .map(n -> n.get(0).name())
        .toList();
  }

  @Test
  void viewsOfOneNameStandBesideEachOther() {
    assertThat(names(0, "{view}", "Hall", "Hall", "hall"))
        .containsExactly("Hall.jpg", "Hall-2.jpg", "hall-3.jpg");
  }

  /** A name that looks like a second one does not take the second one's place. */
  @Test
  void aNumberedNameIsPassedOver() {
    assertThat(names(0, "{view}", "Hall", "Hall-2", "Hall"))
        .containsExactly("Hall.jpg", "Hall-2.jpg", "Hall-3.jpg");
  }

  @Test
  void patternsSayShootNumberSizeAndDay() {
    assertThat(names(2048, "{shoot} {n} {view}-{size}_{date}", "Instrument room", "Hall"))
        .containsExactly(
            "Weather-House-01-Instrument-room-2048px_2026-06-11.jpg",
            "Weather-House-02-Hall-2048px_2026-06-11.jpg");
  }

  @Test
  void whatAFileSystemDoesNotTakeIsLeftOut() {
    assertThat(names(0, "{view}", "../up", "a/b:c*?", "Küche №2", "  ", "…"))
        .containsExactly("up.jpg", "abc.jpg", "Küche-2.jpg", "view.jpg", "view-2.jpg");
  }

  /** 255 bytes in UTF-8, as Linux's file systems take them, with room for size and ending. */
  @Test
  void longNamesAreCutByBytesAndStayApart() {
    String long1 = "ä".repeat(200);
    assertThat(names(2048, "{view}-{size}", long1, long1 + "b", "🏠".repeat(90)))
        .doesNotHaveDuplicates()
        .allSatisfy(
            n -> {
              assertThat(n.getBytes(StandardCharsets.UTF_8)).hasSizeLessThan(230);
              assertThat(n).doesNotContain("\ufffd");
            });
  }

  @Test
  void patternsThatGiveDoublesAreRefusedByName() {
    List<String> jpg = List.of("jpg", "jpg");
    assertThatThrownBy(
            () -> FileNames.check(3, List.of(jpeg("Listing", 0, "{shoot}")), List.of("jpg")))
        .hasMessageContaining("Listing gives all 3 views the same name");
    List<Specification> twins = List.of(jpeg("Large", 0, "{view}"), jpeg("Small", 800, "{view}"));
    assertThatThrownBy(() -> FileNames.check(1, twins, jpg))
        .hasMessageContaining("Large and Small give the same file names");
    FileNames.check(1, twins, List.of("jpg", "tif"));
    List<Specification> apart =
        List.of(jpeg("Large", 0, "{view}-{size}"), jpeg("Small", 800, "{view}-{size}"));
    FileNames.check(3, apart, jpg);
  }

  @Test
  void anUnknownWordOfAPatternIsNamed() {
    assertThatThrownBy(() -> jpeg("a", 0, "{view}-{client}")).hasMessageContaining("not {client}");
  }
}
