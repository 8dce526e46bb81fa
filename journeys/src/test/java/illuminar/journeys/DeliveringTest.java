package illuminar.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import illuminar.server.TwoViews;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A set delivered by specifications, and fetched by a client who has no account. */
class DeliveringTest {
  private static final OnTwoViews ON = new OnTwoViews("delivering_journey_test");
  private static final Entered entered = ON.entered;
  private static final Page page = ON.page;
  private static final TwoViews views = ON.views;

  @AfterAll
  static void end() {
    ON.close();
  }

  private static Locator tick(String name) {
    return page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(name));
  }

  private static Locator choice(String label) {
    return page.getByRole(AriaRole.DIALOG)
        .getByRole(
            AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName(Pattern.compile(label)));
  }

  private static void choose(String label, String option) {
    choice(label).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }

  @Test
  void aSetIsDeliveredByOwnSpecificationsAndFetchedByAClient() throws Exception {
    page.navigate(entered.url() + "/shoots/" + views.shoot() + "/delivery");
    assertThat(tick("Listing page")).isChecked();
    entered.button("Add a specification").click();
    page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Proof in grey");
    choose("Format", "PNG, 8 bit");
    choose("Colour space", "Grey");
    page.getByLabel("Long edge, px").fill("300");
    page.getByLabel("Name pattern").fill("{client}-{n}");
    entered.button("Add it").click();
    assertThat(page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.ALERT))
        .containsText("not {client}");
    page.getByLabel("Name pattern").fill("{n}-{shoot}-{date}");
    entered.button("Add it").click();
    assertThat(tick("Proof in grey")).isChecked();
    assertThat(page.getByText("PNG, 8 bit, long edge 300 px, Grey")).isVisible();
    tick("Full size").uncheck();
    page.reload();
    // what was chosen survives a reload
    assertThat(tick("Full size")).not().isChecked();
    assertThat(tick("Proof in grey")).isChecked();
    entered.button("Deliver 4 files").click();
    Locator delivery =
        page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("^Delivery of")));
    assertThat(delivery).containsText("4 files");

    entered.button("Send to the listing desk").click();
    assertThat(delivery.getByText("Refused by the listing desk.")).hasCount(4);
    assertThat(delivery).containsText("Only JPEG files can be read here.");

    entered.button("Make a client link").click();
    String link = page.getByLabel("Send this link; it is shown only now").inputValue();
    assertThat(names(fetchedBy(link))).hasSize(4).anyMatch(n -> n.matches("01-.*-\\d{4}-.*png"));
    page.reload();
    assertThat(delivery).containsText("1 download");
    delivery.getByText("End it").click();
    assertThat(delivery).not().containsText("Client link until");
  }

  /** Somebody who is not signed in follows the link and takes all. */
  private static Path fetchedBy(String link) throws IOException {
    try (BrowserContext client = page.context().browser().newContext()) {
      Page opened = client.newPage();
      opened.navigate(link);
      assertThat(opened.locator("img[alt$=png]").first()).isVisible();
      Path zip = Files.createTempFile("delivery", ".zip");
      opened.waitForDownload(() -> opened.getByText("Download all as ZIP").click()).saveAs(zip);
      return zip;
    }
  }

  private static List<String> names(Path zip) throws Exception {
    List<String> out = new ArrayList<>();
    try (ZipFile file = new ZipFile(zip.toFile())) {
      file.stream().forEach(e -> out.add(e.getName()));
    }
    return out;
  }
}
