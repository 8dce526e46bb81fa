package illuminar.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** One file a view and size, on any file system: common practice, no source. */
class FileNamesTest {
  private static Map<UUID, String> views(String... names) {
    Map<UUID, String> out = new LinkedHashMap<>();
    for (int k = 0; k < names.length; k++) {
      out.put(new UUID(0, k), names[k]);
    }
    return out;
  }

  @Test
  void viewsOfOneNameStandBesideEachOther() {
    assertThat(FileNames.of(views("Hall", "Hall", "hall"), 0).values())
        .containsExactly("Hall", "Hall-2", "hall-3");
  }

  /** A name that looks like a second one does not take the second one's place. */
  @Test
  void aNumberedNameIsPassedOver() {
    assertThat(FileNames.of(views("Hall", "Hall-2", "Hall"), 0).values())
        .containsExactly("Hall", "Hall-2", "Hall-3");
  }

  @Test
  void eachSizeHasAFileOfItsOwn() {
    Map<UUID, String> one = views("Instrument room");
    assertThat(FileNames.of(one, 0).values()).containsExactly("Instrument-room");
    assertThat(FileNames.of(one, 2048).values()).containsExactly("Instrument-room-2048px");
  }

  @Test
  void whatAFileSystemDoesNotTakeIsLeftOut() {
    assertThat(FileNames.of(views("../up", "a/b:c*?", "Küche №2", "  ", "…"), 0).values())
        .containsExactly("up", "abc", "Küche-2", "view", "view-2");
  }

  /** 255 bytes in UTF-8, as Linux's file systems take them, with room for size and ending. */
  @Test
  void longNamesAreCutByBytesAndStayApart() {
    String long1 = "ä".repeat(200);
    assertThat(FileNames.of(views(long1, long1 + "b", "🏠".repeat(90)), 2048).values())
        .doesNotHaveDuplicates()
        .allSatisfy(
            n -> {
              assertThat(n.getBytes(StandardCharsets.UTF_8)).hasSizeLessThan(230);
              assertThat(n).doesNotContain("\ufffd");
            });
  }

  @Test
  void theSameOrderGetsTheSameNames() {
    Map<UUID, String> order = views("Hall", "Stair", "Hall");
    assertThat(FileNames.of(order, 800)).isEqualTo(FileNames.of(order, 800));
    assertThat(FileNames.of(order, 800).keySet()).isEqualTo(order.keySet());
  }
}
