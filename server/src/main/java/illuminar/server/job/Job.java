package illuminar.server.job;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A piece of long work: what it is about, how far it is, and what went wrong on the way. */
@Entity
public class Job {
  /** How a job stands. */
  public enum State {
    WAITING,
    RUNNING,
    DONE,
    FAILED,
    CANCELLED;

    boolean over() {
      return this != WAITING && this != RUNNING;
    }
  }

  @Id private UUID id;

  @Column(name = "studio_id")
  private UUID studioId;

  @Column(name = "shoot_id")
  private UUID shootId;

  private String kind;

  @Column(columnDefinition = "jsonb")
  private String subject;

  @Enumerated(EnumType.STRING)
  private State state = State.WAITING;

  private int done;
  private int total = 1;
  private String doing = "";

  @Column(columnDefinition = "jsonb")
  private String problems = "[]";

  private boolean cancelled;
  private Instant created = Instant.now();
  private Instant finished;

  protected Job() {}

  public Job(UUID studioId, UUID shootId, String kind, String subject) {
    this.id = UUID.randomUUID();
    this.studioId = studioId;
    this.shootId = shootId;
    this.kind = kind;
    this.subject = subject;
  }

  public UUID id() {
    return id;
  }

  public UUID studioId() {
    return studioId;
  }

  public UUID shootId() {
    return shootId;
  }

  /** The {@link Work#kind} that does it. */
  public String kind() {
    return kind;
  }

  public String subject() {
    return subject;
  }

  public State state() {
    return state;
  }

  public int done() {
    return done;
  }

  public int total() {
    return total;
  }

  public String doing() {
    return doing;
  }

  public String problems() {
    return problems;
  }

  public boolean cancelled() {
    return cancelled;
  }

  public Instant created() {
    return created;
  }

  public void cancel() {
    cancelled = true;
    if (state == State.WAITING) {
      end(State.CANCELLED);
    }
  }

  public void at(int step, int of, String what) {
    state = State.RUNNING;
    done = step;
    total = of;
    doing = what;
  }

  public void problems(String list) {
    problems = list;
  }

  public void end(State how) {
    state = how;
    finished = Instant.now();
    if (how == State.DONE) {
      done = total;
      doing = "";
    }
  }

  public boolean over() {
    return finished != null;
  }
}
