package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/**
 * The card that ships, as the application reads it. What is on it is known: it was photographed for
 * the demo.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class DemoCardTest {
  private static final Path CARD = Path.of("../demo/card");
  private TestServer server;
  private JsonNode sheet;

  @BeforeAll
  void read() {
    server = new TestServer("demo_card", CARD);
    Visitor visitor = new Visitor(server.url()).signedIn();
    sheet = visitor.json("/api/shoots/" + visitor.demoShoot() + "/waiting");
  }

  @AfterAll
  void stop() {
    server.close();
  }

  private List<String> names(int view) {
    return Stream.iterate(0, i -> i + 1)
        .limit(sheet.get("views").get(view).get("frames").size())
        .map(i -> sheet.get("views").get(view).get("frames").get(i).get("name").asString())
        .toList();
  }

  private List<String> roles(int view) {
    return Stream.iterate(0, i -> i + 1)
        .limit(sheet.get("views").get(view).get("frames").size())
        .map(i -> sheet.get("views").get(view).get("frames").get(i).get("role").asString())
        .toList();
  }

  /** Seven views as they were shot, in shooting order. */
  @Test
  void theCardHoldsSevenViews() {
    assertThat(sheet.get("views")).hasSize(7);
    int[] sizes = {8, 8, 6, 5, 1, 5, 9};
    String[] first = {
      "FWH_0112", "FWH_0120", "FWH_0131", "FWH_0137", "FWH_0143", "FWH_0144", "FWH_0149"
    };
    for (int i = 0; i < 7; i++) {
      assertThat(names(i)).hasSize(sizes[i]);
      assertThat(names(i).get(0)).startsWith(first[i]);
    }
    assertThat(names(4))
        .as("of raw file and JPEG the raw is the frame")
        .containsExactly("FWH_0143.DNG");
  }

  @Test
  void everyFrameHasItsRole() {
    assertThat(roles(0).subList(0, 5)).containsOnly("AMBIENT");
    assertThat(roles(0).subList(5, 8)).containsExactly("FLASH", "FLASH", "WINDOW");
    assertThat(roles(1).subList(0, 5)).containsOnly("AMBIENT");
    assertThat(roles(1).subList(5, 8)).containsExactly("LAMPS_OFF", "FLASH", "FLASH");
    assertThat(roles(2)).endsWith("FLASH").startsWith("AMBIENT");
    assertThat(roles(3)).containsOnly("AMBIENT");
    assertThat(roles(5)).containsOnly("AMBIENT");
    assertThat(roles(6).subList(0, 7)).containsOnly("AMBIENT");
    assertThat(roles(6).subList(7, 9)).containsExactly("LAMPS_OFF", "FLASH");
  }

  /**
   * The capped lens, the file that ends early, the twin and the JPEG beside a raw file stay on the
   * card with their reasons.
   */
  @Test
  void mishapsAreSetAsideWithTheirReason() {
    assertThat(sheet.get("refused")).hasSize(4);
    assertThat(reason("FWH_0128.JPG")).contains("misfire");
    assertThat(reason("FWH_0130.JPG")).contains("cut short");
    assertThat(reason("FWH_0142.JPG")).contains("the same picture as FWH_0141.JPG");
    assertThat(reason("FWH_0143.JPG")).contains("FWH_0143.DNG");
  }

  private String reason(String file) {
    for (JsonNode r : sheet.get("refused")) {
      if (r.get("name").asString().equals(file)) {
        return r.get("reason").asString();
      }
    }
    return "";
  }

  /** What ships stays small. */
  @Test
  void theDemoStaysUnderItsShare() throws Exception {
    try (Stream<Path> files = Files.walk(Path.of("../demo"))) {
      long bytes = files.filter(Files::isRegularFile).mapToLong(f -> f.toFile().length()).sum();
      assertThat(bytes).isLessThan(60_000_000);
    }
  }
}
