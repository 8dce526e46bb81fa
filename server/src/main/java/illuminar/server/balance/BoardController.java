package illuminar.server.balance;

import illuminar.server.account.Member;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * The balance board of a view. It is no part of the recipe: pinning a probe changes no picture and
 * is no step to undo. The last to write wins.
 */
@RestController
@RequestMapping("/api/views/{id}/board")
class BoardController {
  private final ShootService shoots;
  private final Boards boards;

  BoardController(ShootService shoots, Boards boards) {
    this.shoots = shoots;
    this.boards = boards;
  }

  @GetMapping
  BalanceBoard get(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return boards.of(shoots.ownedView(member.studio(), id).id());
  }

  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestBody BalanceBoard board) {
    View view = shoots.ownedView(member.studio(), id);
    for (Probe p : board.probes()) {
      if (!p.within(view.width(), view.height())) {
        throw new IllegalArgumentException("a probe lies beside the picture");
      }
    }
    boards.keep(view.id(), board);
  }
}
