package illuminar.server.shoot;

import illuminar.core.frame.Role;
import illuminar.server.account.Member;
import illuminar.server.account.Right;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Shoots, their views and the views' frames. */
@RestController
@RequestMapping("/api")
class ShootController {
  private final ShootService service;

  ShootController(ShootService service) {
    this.service = service;
  }

  record ViewCard(
      @NotNull UUID id,
      @NotNull String name,
      @NotNull View.State state,
      int width,
      int height,
      int frames,
      @NotNull List<String> look,
      @NotNull String note,
      Instant restsUntil) {}

  record ShootCard(
      @NotNull UUID id,
      @NotNull String name,
      @NotNull Instant created,
      @NotNull List<ViewCard> views) {}

  record FrameCard(
      @NotNull UUID id,
      @NotNull String name,
      @NotNull Role role,
      double stops,
      boolean stopsKnown,
      Double seconds,
      Double aperture,
      Double iso,
      Double focal,
      LocalDateTime taken,
      double burnt,
      double blocked,
      double movedX,
      double movedY,
      double turned,
      double spread,
      boolean sure,
      boolean anchor) {}

  record ViewSheet(
      @NotNull UUID id,
      @NotNull String name,
      @NotNull UUID shoot,
      @NotNull String shootName,
      @NotNull View.State state,
      int width,
      int height,
      @NotNull List<FrameCard> frames,
      @NotNull List<String> look) {}

  record Named(@NotNull String name) {}

  @GetMapping("/shoots")
  List<ShootCard> all(@AuthenticationPrincipal Member member) {
    return service.all(member.studio()).stream().map(this::card).toList();
  }

  @Right.ToTakeIn
  @PostMapping("/shoots")
  @ResponseStatus(HttpStatus.CREATED)
  ShootCard create(@AuthenticationPrincipal Member member, @RequestBody Named body) {
    return card(service.create(member.studio(), body.name()));
  }

  @GetMapping("/shoots/{id}")
  ShootCard one(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return card(service.owned(member.studio(), id));
  }

  @PutMapping("/shoots/{id}/name")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void renameShoot(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Named body) {
    service.renameShoot(member.studio(), id, body.name());
  }

  @PutMapping("/views/{id}/name")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void renameView(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Named body) {
    service.renameView(member.studio(), id, body.name());
  }

  record Order(@NotNull List<UUID> views) {}

  @PutMapping("/shoots/{id}/order")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void order(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody Order body) {
    service.order(member.studio(), id, body.views());
  }

  /** All views of a shoot with their frames. */
  @GetMapping("/shoots/{id}/frames")
  List<ViewSheet> frames(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return service.views(service.owned(member.studio(), id).id()).stream()
        .map(v -> sheet(member, v))
        .toList();
  }

  @GetMapping("/views/{id}")
  ViewSheet view(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return sheet(member, service.ownedView(member.studio(), id));
  }

  private ViewSheet sheet(Member member, View view) {
    Shoot shoot = service.owned(member.studio(), view.shootId());
    return new ViewSheet(
        view.id(),
        view.name(),
        shoot.id(),
        shoot.name(),
        view.state(),
        view.width(),
        view.height(),
        service.frames(view.id()).stream().map(f -> card(f, view)).toList(),
        view.lookAt());
  }

  private ShootCard card(Shoot shoot) {
    List<ViewCard> views =
        service.views(shoot.id()).stream()
            .map(
                v ->
                    new ViewCard(
                        v.id(),
                        v.name(),
                        v.state(),
                        v.width(),
                        v.height(),
                        service.frames(v.id()).size(),
                        v.lookAt(),
                        v.note(),
                        v.restsUntil().orElse(null)))
            .toList();
    return new ShootCard(shoot.id(), shoot.name(), shoot.created(), views);
  }

  private static FrameCard card(FrameRow f, View view) {
    return new FrameCard(
        f.id(),
        f.name(),
        f.role(),
        f.stops(),
        f.stopsKnown(),
        f.seconds(),
        f.aperture(),
        f.iso(),
        f.optics().focal().isPresent() ? f.optics().focal().getAsDouble() : null,
        f.taken(),
        f.burnt(),
        f.blocked(),
        f.toFrame().dx(),
        f.toFrame().dy(),
        f.toFrame().degrees(),
        f.spread(),
        f.sure(),
        f.id().equals(view.anchorId()));
  }
}
