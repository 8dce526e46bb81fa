package illuminar.server.judging;

import illuminar.core.analysis.light.LightsApart;
import illuminar.server.account.Member;
import illuminar.server.shoot.ShootService;
import illuminar.server.sitting.OpenViews;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The single lights that a view's frames let one take apart. */
@RestController
@RequestMapping("/api/views/{id}/lights")
class LightsController {
  private final ShootService shoots;
  private final OpenViews open;

  LightsController(ShootService shoots, OpenViews open) {
    this.shoots = shoots;
    this.open = open;
  }

  @GetMapping
  List<LightsApart.Offer> lights(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return LightsApart.of(open.session(shoots.ownedView(member.studio(), id)).analysis());
  }
}
