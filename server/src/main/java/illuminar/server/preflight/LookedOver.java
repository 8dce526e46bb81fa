package illuminar.server.preflight;

import illuminar.server.shoot.View;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What was seen of a view, and of which of its editions. */
@Entity
@Table(name = "looked_over")
class LookedOver {
  @Id
  @Column(name = "view_id")
  private UUID viewId;

  private long edition;

  @Column(name = "line_up")
  private int lineUp;

  @Column(columnDefinition = "jsonb")
  private String looked;

  protected LookedOver() {}

  /**
   * @param looked what was seen, as JSON
   */
  LookedOver(View view, String looked) {
    this.viewId = view.id();
    this.edition = view.recipeEdition();
    this.lineUp = view.lineUp();
    this.looked = looked;
  }

  UUID viewId() {
    return viewId;
  }

  String looked() {
    return looked;
  }

  /** Whether it says how the view is now. */
  boolean of(View view) {
    return edition == view.recipeEdition() && lineUp == view.lineUp();
  }
}
