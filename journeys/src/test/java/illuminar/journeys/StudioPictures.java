package illuminar.journeys;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** Pictures of what a studio does with finished views: second looks, covers; and of its guide. */
final class StudioPictures {
  /** White letters over the Yard wall, whose shadow lies along the roof's. */
  private static final String COVER =
      """
      async ([shoot, view]) => {
        const token = document.cookie.split('; ').find(c => c.startsWith('XSRF-TOKEN=')).slice(11);
        await fetch(`/api/shoots/${shoot}/cover-pages`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token) },
          body: JSON.stringify({
            format: 'LISTING', view, zoom: 1, across: 0.5, down: 0.5,
            text: 'Fennick\\nWeather House', font: 'serif', at: { x: 0.62, y: 0.42 }, size: 0.08,
            fillView: '', colour: '#fff6e4', relief: 0.5,
            shadow: {
              foot: { x: 0.66, y: 0.32 }, tip: { x: 0.61, y: 0.39 }, top: { x: 0.66, y: 0.25 },
              ground: false, length: 0.35, softness: 0.2, depth: 1 },
          }),
        });
      }
      """;

  private final Page page;
  private final Shots shots;

  StudioPictures(Page page, Shots shots) {
    this.page = page;
    this.shots = shots;
  }

  /** The yard with its hard shadow, which the lettering's is made like. */
  void cover(String shoot, String yard, String url) {
    page.evaluate(COVER, new String[] {shoot, yard});
    page.navigate(url + "/shoots/" + shoot + "/cover");
    page.locator("[data-testid=cover] img").waitFor();
    page.mouse().move(5, 5);
    shots.keep("cover");
    page.navigate(url + "/shoots/" + shoot);
    page.getByLabel("Open Stair hall").waitFor();
  }

  /** A view that rests, seen again; and a page of the guide. */
  void judged(String shoot, String url) {
    page.navigate(url + "/shoots/" + shoot);
    page.getByLabel("More about Dormer room").click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Let it rest …")).click();
    shots.button("Let Dormer room rest").click();
    page.getByText("rests until").waitFor();
    page.navigate(url + "/second-look");
    shots.button("Look at it now").click();
    page.getByText("The picture is being drawn").waitFor(Shots.gone());
    shots.keep("second-look");
    page.navigate(url + "/guide/windows");
    page.getByLabel("Pages", new Page.GetByLabelOptions().setExact(true)).waitFor();
    shots.images();
    shots.keep("guide");
  }
}
