package illuminar.server.geometry;

import illuminar.core.control.Numbers;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Projection;
import illuminar.core.geometry.Upright;
import illuminar.server.account.Member;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where a finished picture lies on its view, and how it is straightened. */
@RestController
@RequestMapping("/api")
class GeometryController {
  private final ShootService shoots;
  private final RecipeJson json;

  GeometryController(ShootService shoots, RecipeJson json) {
    this.shoots = shoots;
    this.json = json;
  }

  /** The numbers of a geometry, as controls. */
  @GetMapping("/catalogue/geometry")
  List<Numbers.NumberControl> controls() {
    return Numbers.of(Geometry.class);
  }

  /**
   * Where a geometry puts a view's places.
   *
   * @param uncut whether all that there is is shown, and empty corners, instead of what is kept
   */
  @PostMapping("/views/{id}/lay")
  Projection.Lay lay(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean uncut,
      @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content = @Content(schema = @Schema(ref = "#/components/schemas/Geometry")))
          @RequestBody
          String geometry) {
    View view = shoots.ownedView(member.studio(), id);
    Geometry g = json.read(geometry, Geometry.class);
    return (uncut
            ? Projection.everything(g, view.width(), view.height())
            : Projection.of(g, view.width(), view.height()))
        .lay();
  }

  /** A geometry with which lines drawn on the view are plumb or level. */
  @PostMapping(value = "/views/{id}/straightened", produces = MediaType.APPLICATION_JSON_VALUE)
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(ref = "#/components/schemas/Geometry")))
  String straightened(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @io.swagger.v3.oas.annotations.parameters.RequestBody(
              content = @Content(schema = @Schema(ref = "#/components/schemas/Leaning")))
          @RequestBody
          String leaning) {
    View view = shoots.ownedView(member.studio(), id);
    Upright.Leaning asked = json.read(leaning, Upright.Leaning.class);
    return json.write(Upright.of(asked.geometry(), asked.lines(), view.width(), view.height()));
  }
}
