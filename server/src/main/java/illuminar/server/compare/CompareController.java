package illuminar.server.compare;

import illuminar.core.colour.Lab;
import illuminar.core.geometry.Laid;
import illuminar.core.measure.Reading;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.set.Difference;
import illuminar.server.account.Member;
import illuminar.server.cover.Covers;
import illuminar.server.recipe.History;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.OpenViews;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Pictures of views as they were or would be, to be compared. */
@RestController
@RequestMapping("/api/views/{id}/compare")
class CompareController {
  private static final int MOST_EDGE = 2400;
  private static final int MAP_EDGE = 960;

  /** Pixels about a place that are read, at the size of a picture on the screen. */
  private static final int REACH = 3;

  private final ShootService shoots;
  private final RecipeService recipes;
  private final History history;
  private final OpenViews open;
  private final Covers covers;

  CompareController(
      ShootService shoots, RecipeService recipes, History history, OpenViews open, Covers covers) {
    this.shoots = shoots;
    this.recipes = recipes;
    this.history = history;
    this.open = open;
    this.covers = covers;
  }

  /**
   * One way that a view is seen.
   *
   * @param revision number of a step, 0 for how it is now
   * @param without title of a stage or id of a pass that is left out, {@code all} for the ground
   *     alone, empty for nothing
   */
  private record Seen(int revision, String without) {
    boolean leaves(Pass pass) {
      String stage = PassKind.of(pass.move()).stage().title();
      return !without.equals("all") && !without.equals(stage) && !without.equals(pass.id());
    }
  }

  /** The picture. */
  @GetMapping(value = "/picture", produces = MediaType.IMAGE_JPEG_VALUE)
  byte[] picture(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "0") int revision,
      @RequestParam(defaultValue = "") String without,
      @RequestParam(defaultValue = "1600") int edge) {
    View view = shoots.ownedView(member.studio(), id);
    return covers.drawn(
        view, recipe(view, new Seen(revision, without)), Math.max(64, Math.min(MOST_EDGE, edge)));
  }

  /**
   * A reading of a small area.
   *
   * @param stops below white
   */
  record PlaceReading(@NotNull Lab lab, double stops) {}

  /**
   * The other picture that is read.
   *
   * @param view id of its view
   * @param revision number of a step, 0 for how it is now
   * @param without what is left out of it
   */
  record Beside(@NotNull UUID view, int revision, @NotNull String without) {
    Beside {
      if (view == null) {
        throw new IllegalArgumentException("Say which view is read beside it.");
      }
      without = without == null ? "" : without;
    }
  }

  /**
   * Both pictures under one pointer.
   *
   * @param difference CIEDE2000
   */
  record TwoReadings(@NotNull PlaceReading one, @NotNull PlaceReading other, double difference) {}

  /**
   * Reads one place of two pictures.
   *
   * @param x share of their width; {@code y} of their height
   */
  @PostMapping("/readings")
  TwoReadings readings(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "0") int revision,
      @RequestParam(defaultValue = "") String without,
      @RequestParam double x,
      @RequestParam double y,
      @RequestBody Beside beside) {
    View view = shoots.ownedView(member.studio(), id);
    View other = shoots.ownedView(member.studio(), beside.view());
    PlaceReading here = reading(view, recipe(view, new Seen(revision, without)), x, y);
    PlaceReading there =
        reading(other, recipe(other, new Seen(beside.revision(), beside.without())), x, y);
    return new TwoReadings(here, there, here.lab().difference(there.lab()));
  }

  private PlaceReading reading(View view, Recipe recipe, double x, double y) {
    Laid laid = Laid.of(recipe.geometry(), view.width(), view.height());
    Raster whole = whole(laid, MOST_EDGE / 2);
    int cx = (int) Math.max(0, Math.min(whole.width() - 1, x * whole.width()));
    int cy = (int) Math.max(0, Math.min(whole.height() - 1, y * whole.height()));
    int left = Math.max(0, cx - REACH);
    int top = Math.max(0, cy - REACH);
    Raster part =
        whole.part(
            left,
            top,
            Math.min(whole.width(), cx + REACH + 1) - left,
            Math.min(whole.height(), cy + REACH + 1) - top);
    Picture p = open.finished(view, recipe, laid, part);
    Reading reading = Reading.at(p, cx - left, cy - top, REACH);
    return new PlaceReading(reading.lab(), reading.stops());
  }

  /** How far two pictures of one view lie apart: white where they are the same. */
  @GetMapping(value = "/difference", produces = MediaType.IMAGE_PNG_VALUE)
  ResponseEntity<byte[]> difference(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam int a,
      @RequestParam(defaultValue = "") String aWithout,
      @RequestParam int b,
      @RequestParam(defaultValue = "") String bWithout)
      throws IOException {
    View view = shoots.ownedView(member.studio(), id);
    Picture one = finished(view, recipe(view, new Seen(a, aWithout)));
    Picture other = finished(view, recipe(view, new Seen(b, bWithout)));
    if (one.width() != other.width() || one.height() != other.height()) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "The two are cropped differently, so that no place lies on its other.");
    }
    Difference map = Difference.of(one, other);
    return ResponseEntity.ok()
        .header("X-Mean-Difference", Double.toString(map.mean()))
        .header("X-Most-Difference", Double.toString(map.most()))
        .body(png(map, one.width()));
  }

  private static byte[] png(Difference map, int width) throws IOException {
    byte[] shown = map.shown();
    BufferedImage image =
        new BufferedImage(width, shown.length / width, BufferedImage.TYPE_BYTE_GRAY);
    image.getRaster().setDataElements(0, 0, width, shown.length / width, shown);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private Picture finished(View view, Recipe recipe) {
    Laid laid = Laid.of(recipe.geometry(), view.width(), view.height());
    return open.finished(view, recipe, laid, whole(laid, MAP_EDGE));
  }

  private static Raster whole(Laid laid, int edge) {
    return Raster.fitted(laid.projection().width(), laid.projection().height(), edge);
  }

  private Recipe recipe(View view, Seen seen) {
    Recipe recipe =
        seen.revision == 0 ? recipes.state(view).recipe() : history.at(view, seen.revision);
    return recipe.withPasses(recipe.passes().stream().filter(seen::leaves).toList());
  }
}
