package illuminar.server.level;

import illuminar.server.shoot.View;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** Colours of the surfaces of a view, and of which of its editions and boards. */
@Entity
@Table(name = "surface_colours")
class SurfaceColours {
  @Id
  @Column(name = "view_id")
  private UUID viewId;

  private long edition;

  @Column(name = "line_up")
  private int lineUp;

  private String board;

  @Column(columnDefinition = "jsonb")
  private String colours;

  protected SurfaceColours() {}

  /**
   * @param board as JSON
   * @param colours by the surfaces' names, as JSON
   */
  SurfaceColours(View view, String board, String colours) {
    this.viewId = view.id();
    this.edition = view.recipeEdition();
    this.lineUp = view.lineUp();
    this.board = board;
    this.colours = colours;
  }

  String colours() {
    return colours;
  }

  /** Whether it says how the view is now. */
  boolean of(View view, String now) {
    return edition == view.recipeEdition() && lineUp == view.lineUp() && board.equals(now);
  }
}
