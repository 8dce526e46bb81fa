package illuminar.server.carry;

import illuminar.server.account.Member;
import illuminar.server.cover.Covers;
import illuminar.server.shoot.ShootService;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What was decided for one view, carried over to others. */
@RestController
@RequestMapping("/api")
class CarryController {
  private final CarryService service;
  private final ShootService shoots;
  private final Covers covers;

  CarryController(CarryService service, ShootService shoots, Covers covers) {
    this.service = service;
    this.shoots = shoots;
    this.covers = covers;
  }

  /** What is carried over, and to which views. */
  record CarryTo(@NotNull CarryService.CarryWanted wanted, @NotNull List<UUID> views) {}

  /** What would come of it; nothing is changed. */
  @PostMapping("/views/{id}/carry/outcomes")
  List<CarryService.Outcome> outcomes(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody CarryTo to) {
    return service.preview(member.studio(), id, to.wanted(), to.views());
  }

  /** How another view would look. */
  @PostMapping(value = "/views/{id}/carry/{to}", produces = MediaType.IMAGE_JPEG_VALUE)
  byte[] picture(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @PathVariable UUID to,
      @RequestBody CarryService.CarryWanted wanted) {
    return covers.drawn(
        shoots.ownedView(member.studio(), to), service.would(member.studio(), id, wanted, to));
  }

  @PostMapping("/views/{id}/carry")
  List<CarryService.Outcome> carry(
      @AuthenticationPrincipal Member member, @PathVariable UUID id, @RequestBody CarryTo to) {
    return service.carry(member.studio(), id, to.wanted(), to.views());
  }

  /** What came along to a view has been looked at. */
  @PutMapping("/views/{id}/looked")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void looked(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    service.looked(member.studio(), id);
  }
}
