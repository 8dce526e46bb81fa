package illuminar.server.balance;

import illuminar.server.account.Member;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.util.List;
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
import tools.jackson.databind.json.JsonMapper;

/**
 * The balance board of a view. It is no part of the recipe: pinning a probe changes no picture and
 * is no step to undo. The last to write wins.
 */
@RestController
@RequestMapping("/api/views/{id}/board")
class BoardController {
  private static final int MOST_PROBES = 24;

  private final ShootService shoots;
  private final BoardRows rows;
  private final JsonMapper json = JsonMapper.builder().build();

  BoardController(ShootService shoots, BoardRows rows) {
    this.shoots = shoots;
    this.rows = rows;
  }

  /**
   * All that is pinned.
   *
   * @param reference id of the probe that the others are compared with; empty for the first
   */
  record BalanceBoard(List<Probe> probes, String reference) {
    static final BalanceBoard EMPTY = new BalanceBoard(List.of(), "");

    BalanceBoard {
      probes = probes == null ? List.of() : List.copyOf(probes);
      reference = reference == null ? "" : reference;
      if (probes.size() > MOST_PROBES) {
        throw new IllegalArgumentException("a board holds at most " + MOST_PROBES + " probes");
      }
    }
  }

  @GetMapping
  BalanceBoard get(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    View view = shoots.ownedView(member.studio(), id);
    return rows.findById(view.id())
        .map(row -> json.readValue(row.content(), BalanceBoard.class))
        .orElse(BalanceBoard.EMPTY);
  }

  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestBody BalanceBoard board) {
    View view = shoots.ownedView(member.studio(), id);
    for (Probe p : board.probes) {
      if (!(p.x() >= -1 && p.y() >= -1 && p.x() <= view.width() && p.y() <= view.height())) {
        throw new IllegalArgumentException("a probe lies beside the picture");
      }
    }
    rows.save(new BoardRow(view.id(), json.writeValueAsString(board)));
  }
}
