package illuminar.server.coverpage;

import illuminar.core.control.Numbers;
import illuminar.core.cover.CastShadow;
import illuminar.core.cover.CoverPage;
import illuminar.core.cover.Lettered;
import illuminar.files.ScreenJpeg;
import illuminar.server.account.Member;
import illuminar.server.account.Studios;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.typeface.Typefaces;
import illuminar.server.web.Problem;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Covers of a shoot: kept, drawn for the screen, and fetched as files. */
@RestController
@RequestMapping("/api")
class CoverPageController {
  private static final int MOST_SHOWN = 1600;
  private static final double QUALITY = 0.88;

  private final CoverPages pages;
  private final CoverDrawing drawing;
  private final Studios studios;
  private final RecipeJson json;

  CoverPageController(CoverPages pages, CoverDrawing drawing, Studios studios, RecipeJson json) {
    this.pages = pages;
    this.drawing = drawing;
    this.studios = studios;
    this.json = json;
  }

  /** A typeface that letters can have. */
  record Typeface(@NotNull String id, @NotNull String name) {}

  @GetMapping("/typefaces")
  List<Typeface> typefaces() {
    return Typefaces.all().stream().map(t -> new Typeface(t.id(), t.name())).toList();
  }

  /** The numbers of a cover and of its shadow as they are offered. */
  record CoverControls(
      @NotNull List<Numbers.NumberControl> page, @NotNull List<Numbers.NumberControl> shadow) {}

  @GetMapping("/cover-controls")
  CoverControls controls() {
    return new CoverControls(Numbers.of(CoverPage.class), Numbers.of(CastShadow.class));
  }

  @GetMapping(value = "/shoots/{shoot}/cover-pages", produces = MediaType.APPLICATION_JSON_VALUE)
  @ApiResponse(
      responseCode = "200",
      content =
          @Content(array = @ArraySchema(schema = @Schema(ref = "#/components/schemas/KeptCover"))))
  String all(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    return json.write(pages.all(member.studio(), shoot));
  }

  @PostMapping(value = "/shoots/{shoot}/cover-pages", produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  @ApiResponse(
      responseCode = "201",
      content = @Content(schema = @Schema(ref = "#/components/schemas/KeptCover")))
  String keep(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody CoverPage page) {
    return json.write(pages.keep(member.studio(), shoot, page));
  }

  @PutMapping("/cover-pages/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody CoverPage page) {
    pages.change(member.studio(), id, page);
  }

  @DeleteMapping("/cover-pages/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    pages.remove(member.studio(), id);
  }

  /** How a cover would look that need not be kept. */
  @PostMapping(value = "/cover-pages/drawn", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> drawn(
      @AuthenticationPrincipal Member member, @RequestParam int edge, @RequestBody CoverPage page) {
    Lettered.Made made =
        drawing.of(member.studio(), page, Math.max(64, Math.min(MOST_SHOWN, edge)));
    return ResponseEntity.ok()
        .header("X-Shadow-Seen", Boolean.toString(made.shadowSeen()))
        .body(ScreenJpeg.of(made.picture(), QUALITY));
  }

  /** A cover at full size. */
  @GetMapping("/cover-pages/{id}/file")
  ResponseEntity<byte[]> file(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam CoverFormat format)
      throws IOException {
    CoverPage page = pages.one(member.studio(), id).page();
    Lettered.Made made = drawing.of(member.studio(), page, page.format().edge());
    String copyright =
        studios.findById(member.studio()).orElseThrow(() -> Problem.notFound("studio")).copyright();
    String ending = format == CoverFormat.JPEG ? "jpg" : format.name().toLowerCase(Locale.ROOT);
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"cover." + ending + "\"")
        .contentType(MediaType.parseMediaType(format.mediaType()))
        .body(format.write(made.picture(), copyright));
  }
}
