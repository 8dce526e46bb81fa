package illuminar.server.delivery;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
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
  private String path;
  private long bytes;
  private int width;
  private int height;

  protected Delivered() {}

  Delivered(
      UUID jobId,
      UUID viewId,
      String name,
      String format,
      String path,
      long bytes,
      int width,
      int height) {
    this.id = UUID.randomUUID();
    this.jobId = jobId;
    this.viewId = viewId;
    this.name = name;
    this.format = format;
    this.path = path;
    this.bytes = bytes;
    this.width = width;
    this.height = height;
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
}
