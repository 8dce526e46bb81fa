package illuminar.server.house;

import illuminar.core.house.HouseStyle;
import illuminar.server.account.Member;
import illuminar.server.account.Right;
import illuminar.server.recipe.RecipeJson;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The studio's house style. */
@RestController
@RequestMapping("/api")
class HouseStyleController {
  private final HouseStyles styles;
  private final LastMoves last;
  private final RecipeJson json;

  HouseStyleController(HouseStyles styles, LastMoves last, RecipeJson json) {
    this.styles = styles;
    this.last = last;
    this.json = json;
  }

  /** Described as what it is, since it is written by {@link RecipeJson}. */
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(ref = "#/components/schemas/HouseStyle")))
  @Target(ElementType.METHOD)
  @Retention(RetentionPolicy.RUNTIME)
  private @interface AnswersStyle {}

  @GetMapping(value = "/house-style", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersStyle
  String get(@AuthenticationPrincipal Member member) {
    return json.write(styles.of(member.studio()).style());
  }

  /** The same as a file. */
  @GetMapping(value = "/house-style/file", produces = MediaType.APPLICATION_JSON_VALUE)
  ResponseEntity<String> file(@AuthenticationPrincipal Member member) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"house-style.json\"")
        .body(get(member));
  }

  @Right.ToRunStudio
  @PutMapping("/house-style")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(@AuthenticationPrincipal Member member, @RequestBody HouseStyle style) {
    styles.keep(member.studio(), new HouseStyles.Kept(styles.of(member.studio()).active(), style));
  }

  /** Whether first versions are made in it. */
  record Use(boolean active) {}

  @GetMapping("/house-style/use")
  Use use(@AuthenticationPrincipal Member member) {
    return new Use(styles.of(member.studio()).active());
  }

  @Right.ToRunStudio
  @PutMapping("/house-style/use")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void use(@AuthenticationPrincipal Member member, @RequestBody Use use) {
    styles.keep(
        member.studio(), new HouseStyles.Kept(use.active(), styles.of(member.studio()).style()));
  }

  record From(List<UUID> views) {
    From {
      views = views == null ? List.of() : views.stream().filter(Objects::nonNull).toList();
    }
  }

  /** What could be learned from views; nothing is kept. */
  @PostMapping(value = "/house-style/learned", produces = MediaType.APPLICATION_JSON_VALUE)
  @AnswersStyle
  String learned(@AuthenticationPrincipal Member member, @RequestBody From from) {
    return json.write(styles.learned(member.studio(), from.views()));
  }

  /** How each kind of pass was last set in the other views of the shoot. */
  @GetMapping(value = "/views/{id}/last-moves", produces = MediaType.APPLICATION_JSON_VALUE)
  @ApiResponse(
      responseCode = "200",
      content =
          @Content(array = @ArraySchema(schema = @Schema(ref = "#/components/schemas/LastMove"))))
  String last(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return json.write(last.beside(member.studio(), id));
  }
}
