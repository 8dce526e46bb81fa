package illuminar.server.delivery.specification;

import illuminar.core.render.OutputSpace;
import illuminar.server.account.Member;
import illuminar.server.delivery.format.Formats;
import illuminar.server.delivery.format.Specification;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a studio delivers by, and what it can be made of. */
@RestController
@RequestMapping("/api")
class SpecificationController {
  private final Specifications specifications;
  private final Formats formats;

  SpecificationController(Specifications specifications, Formats formats) {
    this.specifications = specifications;
    this.formats = formats;
  }

  /** A specification that is kept. */
  record Kept(@NotNull UUID id, @NotNull Specification specification) {}

  /** A format as it is offered. */
  record FormatCard(
      @NotNull String id,
      @NotNull String name,
      @NotNull String ending,
      boolean lossy,
      boolean watermarked) {}

  /** A colour space as it is offered. */
  record SpaceCard(@NotNull OutputSpace id, @NotNull String name) {}

  @GetMapping("/formats")
  List<FormatCard> formats() {
    return formats.all().stream()
        .map(f -> new FormatCard(f.id(), f.name(), f.ending(), f.lossy(), f.watermarked()))
        .toList();
  }

  @GetMapping("/colour-spaces")
  List<SpaceCard> spaces() {
    return Arrays.stream(OutputSpace.values()).map(s -> new SpaceCard(s, s.title())).toList();
  }

  @GetMapping("/specifications")
  List<Kept> all(@AuthenticationPrincipal Member member) {
    return specifications.all(member.studio()).stream().map(this::kept).toList();
  }

  @PostMapping("/specifications")
  @ResponseStatus(HttpStatus.CREATED)
  Kept add(@AuthenticationPrincipal Member member, @RequestBody Specification body) {
    return kept(specifications.add(member.studio(), body));
  }

  @PutMapping("/specifications/{id}")
  Kept change(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestBody Specification body) {
    return kept(specifications.change(member.studio(), id, body));
  }

  @DeleteMapping("/specifications/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    specifications.remove(member.studio(), id);
  }

  private Kept kept(SpecificationRow row) {
    return new Kept(row.id(), specifications.of(row));
  }
}
