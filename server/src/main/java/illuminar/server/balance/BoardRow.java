package illuminar.server.balance;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What is pinned on a view's balance board. */
@Entity
@Table(name = "balance_board")
class BoardRow {
  @Id
  @Column(name = "view_id")
  private UUID viewId;

  @Column(columnDefinition = "jsonb")
  private String content;

  protected BoardRow() {}

  BoardRow(UUID viewId, String content) {
    this.viewId = viewId;
    this.content = content;
  }

  String content() {
    return content;
  }
}
