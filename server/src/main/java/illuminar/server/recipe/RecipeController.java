package illuminar.server.recipe;

import illuminar.core.control.Numbers;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Shape;
import illuminar.server.account.Member;
import illuminar.server.shoot.ShootService;
import illuminar.server.web.Problem;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A view's recipe with its revisions. Editions travel as ETag and If-Match. */
@RestController
@RequestMapping("/api")
class RecipeController {
  private final RecipeService service;
  private final History history;
  private final ShootService shoots;
  private final RecipeJson json;

  RecipeController(RecipeService service, History history, ShootService shoots, RecipeJson json) {
    this.service = service;
    this.history = history;
    this.shoots = shoots;
    this.json = json;
  }

  /** One kind of pass as the interface needs it. */
  record Kind(
      String kind,
      String name,
      String stage,
      String help,
      String sentence,
      List<String> says,
      boolean asksRegion,
      Gate gate,
      List<Numbers.NumberControl> controls,
      List<String> frames,
      List<PassKind.Choice> choices) {}

  @GetMapping("/catalogue")
  List<Kind> catalogue() {
    return Catalogue.kinds().stream()
        .map(
            k ->
                new Kind(
                    k.id(),
                    k.name(),
                    k.stage().title(),
                    k.help(),
                    k.sentence(),
                    k.says(),
                    k.asksRegion(),
                    k.gate(),
                    k.controls(),
                    k.frames(),
                    k.choices()))
        .toList();
  }

  /** One kind of part or ground as the interface needs it. */
  record Numbered(String kind, String name, List<Numbers.NumberControl> controls) {}

  @GetMapping("/catalogue/parts")
  List<Numbered> parts() {
    return numbered(Shape.class);
  }

  @GetMapping("/catalogue/grounds")
  List<Numbered> grounds() {
    return numbered(Ground.class);
  }

  private static List<Numbered> numbered(Class<?> choice) {
    return Kinds.of(choice).entrySet().stream()
        .map(k -> new Numbered(k.getValue(), words(k.getValue()), Numbers.of(k.getKey())))
        .toList();
  }

  /** Described as what it is, since it is written by {@link RecipeJson}. */
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(ref = "#/components/schemas/RecipeState")))
  @Target(ElementType.METHOD)
  @Retention(RetentionPolicy.RUNTIME)
  private @interface AnswersState {}

  private static String words(String kind) {
    return Character.toUpperCase(kind.charAt(0)) + kind.substring(1).replace('-', ' ');
  }

  @GetMapping(value = "/views/{id}/recipe", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersState
  ResponseEntity<String> get(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return answer(service.state(member.studio(), id));
  }

  @PutMapping(value = "/views/{id}/recipe", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersState
  ResponseEntity<String> put(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "If-Match", required = false) String match,
      @RequestBody Recipe recipe) {
    return answer(service.change(member.studio(), id, edition(match), recipe));
  }

  @PostMapping(value = "/views/{id}/undo", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersState
  ResponseEntity<String> undo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "If-Match", required = false) String match) {
    return answer(service.undo(member.studio(), id, edition(match)));
  }

  @PostMapping(value = "/views/{id}/redo", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersState
  ResponseEntity<String> redo(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestHeader(name = "If-Match", required = false) String match) {
    return answer(service.redo(member.studio(), id, edition(match)));
  }

  @GetMapping("/views/{id}/history")
  List<History.Step> history(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return history.of(shoots.ownedView(member.studio(), id));
  }

  @PostMapping(value = "/views/{id}/history/{number}", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersState
  ResponseEntity<String> go(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable int number,
      @RequestHeader(name = "If-Match", required = false) String match) {
    return answer(service.go(member.studio(), id, edition(match), number));
  }

  private ResponseEntity<String> answer(RecipeService.State state) {
    return ResponseEntity.ok().eTag("\"" + state.edition() + "\"").body(json.write(state));
  }

  private static long edition(String match) {
    if (match == null) {
      throw new Problem(
          HttpStatus.PRECONDITION_REQUIRED, "Say which edition this change was made from.");
    }
    try {
      return Long.parseLong(match.replace("W/", "").replace("\"", "").trim());
    } catch (NumberFormatException e) {
      throw new Problem(HttpStatus.PRECONDITION_FAILED, "There is no edition " + match + ".");
    }
  }
}
