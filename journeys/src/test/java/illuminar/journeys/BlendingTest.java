package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TestServer;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/** Grounds, frames laid over and lights taken apart, on screen. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class BlendingTest {
  private static TestServer server;
  private static Chromium chromium;
  private static Bench bench;
  private static Page page;

  @BeforeAll
  static void begin() {
    server = new TestServer("blending_test");
    chromium = new Chromium();
    page = chromium.page();
    bench = new Bench(page);
    PlaywrightAssertions.setDefaultAssertionTimeout(60_000);
    page.setDefaultTimeout(60_000);
    bench.openFirstView(server.url(), "Instrument room");
  }

  @AfterAll
  static void end() {
    chromium.close();
    server.close();
  }

  private static Locator stage(String name) {
    return page.getByRole(
        AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  @Test
  @Order(1)
  void theGroundIsWeighedMergedAndTakenBack() {
    bench.button("Weights and movement").click();
    bench.waitForPicture(() -> bench.set("Detail", "0"));
    bench.waitForPicture(() -> page.getByLabel("Moving things from one frame each").uncheck());
    page.getByLabel("Ground: Blend").click();
    bench.waitForPicture(() -> bench.item("Merge the ambient frames to their light").click());
    assertThat(stage("Ground")).containsText("to their light, calmed 0 % towards");
    bench.waitForPicture(() -> bench.set("Compression", "80"));
    page.getByLabel("Ground: Merge").click();
    bench.waitForPicture(() -> bench.item("Take one frame").click());
    assertThat(stage("Ground")).containsText("as it is.");
    bench.undo();
    assertThat(bench.number("Compression")).hasValue("80 %");
    bench.undo();
    bench.undo();
    assertThat(stage("Ground")).containsText("evenly");
  }

  @Test
  @Order(2)
  void lightsOnOfferAreMixed() {
    Locator lights = stage("Lights");
    assertThat(lights.getByText("Flash", new Locator.GetByTextOptions().setExact(false)).first())
        .isVisible();
    Locator flash =
        lights.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Flash,")));
    bench.waitForPicture(() -> flash.first().click());
    assertThat(lights.getByTestId("pass")).containsText("less frame");
    assertThat(flash.first()).isDisabled();
    bench.waitForPicture(() -> bench.set("Light", "-1"));
    bench.waitForPicture(() -> bench.set("Warmer", "20"));
    assertThat(lights.getByTestId("pass")).containsText("−1.00 st");
  }

  @Test
  @Order(3)
  void aFrameIsLaidOverWithAModeOfItsOwn() {
    bench.waitForPicture(() -> bench.button("Another: lay a frame over").click());
    Locator pass = stage("Lights").getByTestId("pass").first();
    bench.waitForPicture(
        () -> {
          pass.getByLabel("Mode: normal").click();
          bench.item("luminosity").click();
        });
    assertThat(pass).containsText("as luminosity");
    bench.set("Saturation", "60");
    assertThat(bench.saved()).containsText("Saved");
    page.reload();
    page.waitForFunction("() => Number(document.documentElement.dataset.pictures ?? 0) > 0");
    assertThat(stage("Lights").getByTestId("pass").first()).containsText("as luminosity");
    assertThat(stage("Lights").getByTestId("pass").nth(1)).containsText("−1.00 st");
  }
}
