package illuminar.server.job;

import illuminar.server.web.Problem;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Long work as it is ordered, called off and told of; {@link JobLine} does it. */
@Service
public class Jobs {
  private final JobRows rows;
  private final JobLine line;
  private final Listeners listeners;

  Jobs(JobRows rows, JobLine line, Listeners listeners) {
    this.rows = rows;
    this.line = line;
    this.listeners = listeners;
  }

  /** Puts a job in line; both are there or neither is. */
  @Transactional
  public Job start(Job job) {
    rows.saveAndFlush(job);
    line.join(job);
    return job;
  }

  public Job find(UUID studio, UUID id) {
    return rows.findByIdAndStudioId(id, studio).orElseThrow(() -> Problem.notFound("job"));
  }

  public List<Job> of(UUID studio, UUID shoot) {
    return rows.findByShootIdAndStudioIdOrderByCreatedDesc(shoot, studio);
  }

  public void cancel(UUID studio, UUID id) {
    Job job = find(studio, id);
    if (job.over()) {
      throw new Problem(HttpStatus.CONFLICT, "This is already over.");
    }
    job.cancel();
    listeners.tell(rows.saveAndFlush(job));
  }

  /** A job as it is told to the interface. */
  public record Told(
      UUID id,
      UUID shoot,
      String kind,
      String verb,
      Job.State state,
      int done,
      int total,
      String doing,
      List<String> problems) {}

  public Told told(Job job) {
    return listeners.told(job);
  }

  /** A stream of what happens to the jobs of a shoot. */
  public SseEmitter listen(UUID shoot, List<Job> now) {
    return listeners.listen(shoot, now);
  }
}
