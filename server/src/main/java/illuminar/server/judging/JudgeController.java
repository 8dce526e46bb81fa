package illuminar.server.judging;

import illuminar.core.analysis.cast.Casts;
import illuminar.core.first.FirstVersion;
import illuminar.core.first.Proposal;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.ground.MovingThings;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.Trim;
import illuminar.core.watch.Finding;
import illuminar.core.watch.LiftedDarks;
import illuminar.core.watch.Specks;
import illuminar.core.watch.Watch;
import illuminar.server.account.Member;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.ShootService;
import illuminar.server.sitting.OpenViews;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What a recipe comes to on its view, whether it is kept yet or not. */
@RestController
@RequestMapping("/api/views/{id}")
class JudgeController {
  private final ShootService shoots;
  private final OpenViews open;
  private final RecipeJson json;

  JudgeController(ShootService shoots, OpenViews open, RecipeJson json) {
    this.shoots = shoots;
    this.open = open;
    this.json = json;
  }

  /** Halos, mud and overspray of the picture. */
  @PostMapping("/watch")
  List<Finding> watch(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Recipe recipe) {
    return Watch.over(session(member, id), recipe);
  }

  /** What a pass leaves of the texture in the darks that it lifts. */
  @PostMapping("/darks/{pass}")
  LiftedDarks darks(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable String pass,
      @RequestBody Recipe recipe) {
    return LiftedDarks.by(session(member, id), recipe, pass);
  }

  /** Likely dust, sensor marks and glints in the picture. */
  @PostMapping("/specks")
  List<Specks.Speck> specks(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Recipe recipe) {
    return Specks.in(session(member, id), recipe);
  }

  /**
   * @param said why a pass does nothing where it is; empty where it works
   */
  record Idle(String said) {}

  /** Whether a pass finds what it looks for. */
  @PostMapping("/idle/{pass}")
  Idle idle(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable String pass,
      @RequestBody Recipe recipe) {
    return new Idle(session(member, id).idle(recipe, pass).orElse(""));
  }

  /** Moving things and the frame that each is taken from. */
  @PostMapping("/moving")
  List<MovingThings.Thing> moving(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Recipe recipe) {
    Ground ground = recipe.ground();
    return ground instanceof Ground.Several
        ? Grounds.of(ground, session(member, id).analysis()).things()
        : List.of();
  }

  /**
   * How the light leans on each surface: a picture of its colour at one lightness, twice as strong
   * as it is.
   */
  @GetMapping(value = "/casts", produces = MediaType.IMAGE_PNG_VALUE)
  byte[] casts(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam Casts.Source source,
      @RequestParam(defaultValue = "") String reference)
      throws IOException {
    Casts casts = Casts.of(session(member, id).analysis(), source, reference);
    int w = casts.red().width();
    BufferedImage image = new BufferedImage(w, casts.red().height(), BufferedImage.TYPE_INT_RGB);
    for (int i = 0; i < casts.red().data().length; i++) {
      image.setRGB(i % w, i / w, casts.shown(i));
    }
    return png(image);
  }

  /**
   * A recipe with what is proposed for a stage, or with all of them anew.
   *
   * @param said one line on what was found
   * @param changed whether the recipe is another one
   */
  record Proposed(Recipe recipe, String said, boolean changed) {}

  /** The stages for which something can be proposed. */
  @GetMapping("/proposals")
  List<String> proposals(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    shoots.ownedView(member.studio(), id);
    return FirstVersion.stages();
  }

  /** What is proposed for a stage of a recipe. */
  @PostMapping(value = "/proposals/{stage}", produces = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.responses.ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Proposed.class)))
  String propose(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable String stage,
      @RequestBody Recipe recipe) {
    Proposal made = FirstVersion.propose(stage, recipe, session(member, id));
    return json.write(new Proposed(made.recipe(), made.said(), !made.recipe().equals(recipe)));
  }

  /**
   * How much haze lets through, as a clear-haze pass found it: white all, clear where it is off.
   */
  @PostMapping(value = "/transmission/{pass}", produces = MediaType.IMAGE_PNG_VALUE)
  byte[] transmission(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable String pass,
      @RequestBody Recipe recipe)
      throws IOException {
    PreviewSession session = session(member, id);
    Raster raster = session.analysis().raster();
    Plane told = session.map(recipe, pass, raster).plane();
    BufferedImage image =
        new BufferedImage(raster.width(), raster.height(), BufferedImage.TYPE_INT_ARGB);
    for (int i = 0; i < told.data().length; i++) {
      float t = told.data()[i];
      int code = Math.round(255 * Math.max(0, t));
      int grey = code << 16 | code << 8 | code;
      image.setRGB(i % raster.width(), i / raster.width(), t < 0 ? 0 : 0xff000000 | grey);
    }
    return png(image);
  }

  /** A region without the parts and strokes that make no difference. */
  @PostMapping(value = "/regions/{region}/trim", produces = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.responses.ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(ref = "#/components/schemas/Region")))
  String trim(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable String region,
      @RequestBody Recipe recipe) {
    return json.write(Trim.of(session(member, id), recipe, region));
  }

  private static byte[] png(BufferedImage image) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private PreviewSession session(Member member, UUID id) {
    return open.session(shoots.ownedView(member.studio(), id));
  }
}
