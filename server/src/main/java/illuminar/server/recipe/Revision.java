package illuminar.server.recipe;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;

/** One acknowledged state of a view's recipe; never changed once written. */
@Entity
@IdClass(Revision.Key.class)
public class Revision {
  /** View and number together name a revision. */
  public record Key(UUID viewId, int number) implements Serializable {
    private static final long serialVersionUID = 1;
  }

  @Id
  @Column(name = "view_id")
  private UUID viewId;

  @Id private int number;
  private int parent;

  @Column(columnDefinition = "jsonb")
  private String recipe;

  private String said;
  private Instant made;

  protected Revision() {}

  public Revision(UUID viewId, int number, int parent, String recipe, String said) {
    this.viewId = viewId;
    this.number = number;
    this.parent = parent;
    this.recipe = recipe;
    this.said = said;
    this.made = Instant.now();
  }

  public int number() {
    return number;
  }

  public int parent() {
    return parent;
  }

  public String recipe() {
    return recipe;
  }

  public String said() {
    return said;
  }

  public Instant made() {
    return made;
  }
}
