package illuminar.server.balance;

import illuminar.core.picture.Point;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What is pinned on the balance boards of views. */
@Component
public class Boards {
  private final BoardRows rows;
  private final JsonMapper json = JsonMapper.builder().build();

  Boards(BoardRows rows) {
    this.rows = rows;
  }

  public BalanceBoard of(UUID view) {
    return rows.findById(view)
        .map(row -> json.readValue(row.content(), BalanceBoard.class))
        .orElse(BalanceBoard.EMPTY);
  }

  public void keep(UUID view, BalanceBoard board) {
    rows.save(new BoardRow(view, json.writeValueAsString(board)));
  }

  /**
   * Carries every probe of a view to another place; those that would lie beside the picture go.
   *
   * @param width of the view, pixels at full size; {@code height} likewise
   */
  public void carry(UUID view, int width, int height, UnaryOperator<Point> to) {
    double longEdge = Math.max(width, height);
    BalanceBoard board = of(view);
    if (board.probes().isEmpty()) {
      return;
    }
    keep(
        view,
        new BalanceBoard(
            board.probes().stream()
                .map(
                    p -> {
                      Point there = to.apply(new Point(p.x() / longEdge, p.y() / longEdge));
                      return new Probe(
                          p.id(),
                          there.x() * longEdge,
                          there.y() * longEdge,
                          p.radius(),
                          p.surface());
                    })
                .filter(p -> p.within(width, height))
                .toList(),
            board.reference()));
  }
}
