package illuminar.server.bin;

import illuminar.server.account.Member;
import illuminar.server.account.Right;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Throwing shoots and views away, and bringing them back. */
@RestController
@RequestMapping("/api")
class BinController {
  private final Bin bin;
  private final ShootService service;

  BinController(Bin bin, ShootService service) {
    this.bin = bin;
    this.service = service;
  }

  /**
   * Something in the bin.
   *
   * @param of the shoot that a view belongs to, or the view of a frame; empty for a shoot
   * @param until when it will be deleted
   */
  record Binned(
      @NotNull UUID id,
      @NotNull Kind kind,
      @NotNull String name,
      @NotNull String of,
      int views,
      @NotNull Instant until) {}

  /** What can lie in the bin. */
  enum Kind {
    SHOOT,
    VIEW,
    FRAME
  }

  @GetMapping("/bin")
  List<Binned> all(@AuthenticationPrincipal Member member) {
    List<Binned> all = new ArrayList<>();
    for (Shoot s : bin.shoots(member.studio())) {
      int views = service.views(s.id()).size();
      all.add(new Binned(s.id(), Kind.SHOOT, s.name(), "", views, until(s.binned().orElseThrow())));
    }
    for (View v : bin.views(member.studio())) {
      String of = service.owned(member.studio(), v.shootId()).name();
      all.add(new Binned(v.id(), Kind.VIEW, v.name(), of, 1, until(v.binned().orElseThrow())));
    }
    for (FrameRow f : bin.frames(member.studio())) {
      String of = service.ownedView(member.studio(), f.viewId()).name();
      all.add(new Binned(f.id(), Kind.FRAME, f.name(), of, 0, until(f.binned().orElseThrow())));
    }
    all.sort(Comparator.comparing(Binned::until).reversed());
    return all;
  }

  private static Instant until(Instant binned) {
    return binned.plus(Bin.KEPT);
  }

  @Right.ToDelete
  @DeleteMapping("/shoots/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void throwShoot(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.throwShoot(member, id);
  }

  @Right.ToDelete
  @DeleteMapping("/views/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void throwView(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.throwView(member, id);
  }

  @Right.ToDelete
  @PostMapping("/bin/shoots/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void bringShootBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.bringShootBack(member.studio(), id);
  }

  @Right.ToDelete
  @PostMapping("/bin/views/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void bringViewBack(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.bringViewBack(member.studio(), id);
  }

  @Right.ToDelete
  @DeleteMapping("/bin/shoots/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteShoot(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.deleteShoot(member, id);
  }

  @Right.ToDelete
  @DeleteMapping("/bin/views/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteView(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.deleteView(member, id);
  }

  @Right.ToDelete
  @DeleteMapping("/bin/frames/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deleteFrame(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    bin.deleteFrame(member, id);
  }
}
