package illuminar.server.shoot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import tools.jackson.databind.json.JsonMapper;

/** One camera set-up; its frames end up as one picture. */
@Entity
public class View {
  /** How far a view has come. */
  public enum State {
    NEW,
    LINED_UP,
    BLENDED,
    BALANCED,
    RESTING,
    READY,
    DELIVERED
  }

  @Id private UUID id;

  @Column(name = "shoot_id")
  private UUID shootId;

  private int position;
  private String name;

  @Enumerated(EnumType.STRING)
  private State state;

  private int width;
  private int height;

  @Column(name = "anchor_id")
  private UUID anchorId;

  @Column(columnDefinition = "jsonb")
  private String response;

  @Column(name = "current_revision")
  private int currentRevision;

  @Column(name = "recipe_edition")
  private long recipeEdition;

  @Version private long version;

  private Instant binned;

  @Column(name = "line_up")
  private int lineUp;

  @Column(name = "look_at", columnDefinition = "jsonb")
  private String lookAt = "[]";

  private String note = "";

  @Column(name = "rests_until")
  private Instant restsUntil;

  protected View() {}

  public View(UUID id, UUID shootId, int position, String name, int width, int height) {
    this.id = id;
    this.shootId = shootId;
    this.position = position;
    this.name = name;
    this.state = State.NEW;
    this.width = width;
    this.height = height;
  }

  public UUID id() {
    return id;
  }

  public UUID shootId() {
    return shootId;
  }

  public int position() {
    return position;
  }

  public String name() {
    return name;
  }

  public State state() {
    return state;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public UUID anchorId() {
    return anchorId;
  }

  public String response() {
    return response;
  }

  public int currentRevision() {
    return currentRevision;
  }

  /** Changes whenever the recipe does, undo and redo included, and with nothing else. */
  public long recipeEdition() {
    return recipeEdition;
  }

  public void rename(String to) {
    name = to;
  }

  public void anchor(UUID frame) {
    anchorId = frame;
  }

  /** Line-up is done: the response that was found, as JSON. */
  public void linedUp(String found) {
    response = found;
    come(currentRevision > 1 ? State.BLENDED : State.LINED_UP);
    lineUp++;
  }

  /** Its frames are others now, or have other roles, and are to be lined up anew. */
  public void regrouped(UUID anchor) {
    anchorId = anchor;
    come(State.NEW);
    recipeEdition++;
  }

  /** Changes whenever the view is lined up. */
  public int lineUp() {
    return lineUp;
  }

  public void place(int to) {
    position = to;
  }

  public void come(State to) {
    state = to;
    restsUntil = null;
  }

  /**
   * Its picture has changed: it is no longer what was found ready or was delivered. A view that
   * rests goes on resting.
   *
   * @param balanced whether something is balanced in it
   */
  public void worked(boolean balanced) {
    if (state != State.NEW && state != State.RESTING) {
      come(byWork(balanced));
    }
  }

  /** How far it has come by its recipe alone. */
  public State byWork(boolean balanced) {
    return currentRevision <= 1 ? State.LINED_UP : balanced ? State.BALANCED : State.BLENDED;
  }

  /** Is left alone, to be seen with fresh eyes at a later time. */
  public void rest(Instant until) {
    state = State.RESTING;
    restsUntil = until;
  }

  /** Until when it rests; nothing while it does not. */
  public Optional<Instant> restsUntil() {
    return Optional.ofNullable(restsUntil);
  }

  /** What somebody wanted to remember about it; empty for nothing. */
  public String note() {
    return note;
  }

  public void note(String words) {
    note = words;
  }

  public void pointAt(int revision) {
    currentRevision = revision;
    recipeEdition++;
  }

  /** Names of regions that were carried over from another view and are to be checked. */
  public List<String> lookAt() {
    return List.of(JsonMapper.shared().readValue(lookAt, String[].class));
  }

  public void lookAt(List<String> names) {
    lookAt = JsonMapper.shared().writeValueAsString(names);
  }

  /** When it was put into the bin; nothing while it is not there. */
  public Optional<Instant> binned() {
    return Optional.ofNullable(binned);
  }

  public void bin() {
    binned = Instant.now();
  }

  public void restore() {
    binned = null;
  }
}
