package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Frames of one's own, sent from the browser; no card is in the reader. */
class SendingTest {
  private static final Path FRAMES = Path.of("../demo/small/instrument-room");
  private static final String UPLOADS = "**/api/shoots/*/uploads";
  private static Entered entered;
  private static Page page;

  @BeforeAll
  static void open() throws IOException {
    entered = new Entered("sending_test");
    page = entered.page;
  }

  @AfterAll
  static void end() {
    entered.close();
  }

  private static Locator button(String name) {
    return entered.button(name);
  }

  private static Path[] frames() throws IOException {
    try (Stream<Path> files = Files.list(FRAMES)) {
      return files.sorted().toArray(Path[]::new);
    }
  }

  private static void newShoot(String name) {
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("All shoots")).click();
    page.getByLabel("Property or commission").fill(name);
    page.keyboard().press("Enter");
    page.waitForURL(Pattern.compile("/intake$"));
    assertThat(page.getByText("Nothing waits to be taken in")).isVisible();
  }

  private static void choose(Path... files) {
    page.getByLabel("Files to send").setInputFiles(files);
  }

  /** The line breaks, the page is loaded anew: it goes on by itself; then the view is taken in. */
  @Test
  void whatIsSentOutlivesABrokenLineAndAReload() throws IOException {
    newShoot("Broken line");
    page.route(UPLOADS, Route::abort);
    choose(frames());
    Locator uploads = page.getByTestId("uploads");
    assertThat(uploads).hasAttribute("data-open", "8");
    button("Pause").click();
    assertThat(uploads).containsText("paused");
    page.unroute(UPLOADS);
    page.reload();
    assertThat(uploads).containsText("8 files have arrived");
    // they are read one after the other
    page.getByTestId("card-frame").nth(7).waitFor();
    assertThat(page.getByTestId("card-frame")).hasCount(8);
    page.getByLabel("Name of the view").fill("Study");
    button("Take in 8 frames as 1 view").click();
    page.waitForURL(Pattern.compile("/shoots/[0-9a-f-]+$"));
    page.getByLabel("Open Study").click();
    assertThat(page.getByTestId("saved")).containsText("Saved");
  }

  /** A file that is no picture is named; the others are not touched by it. */
  @Test
  void whatIsNoPictureIsNamedAndTheRestGoesOn() throws IOException {
    newShoot("Mixed");
    Path folder = Files.createTempDirectory("illuminar-mixed");
    Path notes = Files.writeString(folder.resolve("notes.txt"), "key is under the pot");
    Path torn = Files.write(folder.resolve("torn.jpg"), List.of("not a picture"));
    choose(frames()[0], notes, torn);
    assertThat(page.getByTestId("uploads")).containsText("1 file is no picture.");
    assertThat(page.getByText("torn.jpg: this is not a JPEG, PNG, TIFF or raw picture"))
        .isVisible();
    assertThat(page.getByTestId("card-frame")).hasCount(1);
    button("Throw away").click();
    assertThat(page.getByText("torn.jpg")).isHidden();
    assertThat(page.getByTestId("card-frame")).hasCount(1);
  }

  /** What was changed by hand stays while more frames come in. */
  @Test
  void aPlanKeepsItsChangesWhileFramesArrive() throws IOException {
    newShoot("Plan");
    Path[] frames = frames();
    choose(frames[0], frames[1], frames[2]);
    assertThat(page.getByTestId("card-frame")).hasCount(3);
    page.getByLabel("Name of the view").fill("Study at noon");
    choose(frames[3], frames[4]);
    assertThat(page.getByTestId("card-frame")).hasCount(5);
    assertThat(page.getByLabel("Name of the view")).hasValue("Study at noon");
  }
}
