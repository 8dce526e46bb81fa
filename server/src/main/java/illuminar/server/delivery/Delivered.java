package illuminar.server.delivery;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** One finished file. */
@Entity
public class Delivered {
  @Id private UUID id;

  @Column(name = "job_id")
  private UUID jobId;

  @Column(name = "view_id")
  private UUID viewId;

  private String name;
  private String format;
  private String specification;
  private String path;
  private long bytes;
  private int width;
  private int height;
  private Instant made;
  private int revision;

  protected Delivered() {}

  Delivered(
      UUID jobId,
      UUID viewId,
      String name,
      String format,
      String specification,
      String path,
      long bytes,
      int width,
      int height,
      int revision) {
    this.id = UUID.randomUUID();
    this.jobId = jobId;
    this.viewId = viewId;
    this.name = name;
    this.format = format;
    this.specification = specification;
    this.path = path;
    this.bytes = bytes;
    this.width = width;
    this.height = height;
    this.made = Instant.now();
    this.revision = revision;
  }

  public UUID id() {
    return id;
  }

  public UUID jobId() {
    return jobId;
  }

  public UUID viewId() {
    return viewId;
  }

  public String name() {
    return name;
  }

  public String format() {
    return format;
  }

  /** Name of the specification that it was made by. */
  public String specification() {
    return specification;
  }

  public String path() {
    return path;
  }

  public long bytes() {
    return bytes;
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  public Instant made() {
    return made;
  }

  /** The step of the view that it shows; 0 where it is not known. */
  public int revision() {
    return revision;
  }
}
