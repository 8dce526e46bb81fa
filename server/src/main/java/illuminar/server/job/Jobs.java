package illuminar.server.job;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.jdbc.PostgreSqlJdbcCustomization;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import illuminar.server.Settings;
import illuminar.server.reading.Wanted;
import illuminar.server.web.Problem;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/** Runs jobs one after the other, tells how far they are, and takes them up again after a crash. */
@Service
public class Jobs {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

  private final Settings settings;
  private final JobRows rows;
  private final JsonMapper json = JsonMapper.shared();
  private final Map<String, Work> works = new ConcurrentHashMap<>();
  private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();
  private final OneTimeTask<String> task;
  private final Scheduler scheduler;

  Jobs(Settings settings, JobRows rows, DataSource data, List<Work> all) {
    this.settings = settings;
    this.rows = rows;
    all.forEach(w -> works.put(w.kind(), w));
    task =
        Tasks.oneTime("job", String.class)
            .onFailure(
                (ExecutionComplete done,
                    com.github.kagkarlsson.scheduler.task.ExecutionOperations<String> ops) ->
                    ops.remove())
            .execute((instance, context) -> run(UUID.fromString(instance.getId())));
    scheduler =
        Scheduler.create(data, task)
            .jdbcCustomization(new PostgreSqlJdbcCustomization(false, false))
            .threads(1)
            .pollingInterval(Duration.ofMillis(400))
            .heartbeatInterval(Duration.ofSeconds(2))
            .missedHeartbeatsLimit(4)
            .enableImmediateExecution()
            .build();
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (settings.jobs()) {
      scheduler.start();
    }
  }

  @PreDestroy
  void stop() {
    scheduler.stop();
  }

  /** Puts a job in line. */
  public Job start(Job job) {
    rows.saveAndFlush(job);
    Runnable go = () -> scheduler.schedule(task.instance(job.id().toString(), ""), Instant.now());
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCommit() {
              go.run();
            }
          });
    } else {
      go.run();
    }
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
    tell(rows.saveAndFlush(job));
  }

  private void run(UUID id) {
    Job job = rows.findById(id).orElse(null);
    if (job == null || job.over()) {
      return;
    }
    Progress progress = new Progress(id);
    try {
      Wanted.during(() -> wanted(id), () -> works.get(job.kind()).run(job, progress));
      end(id, Job.State.DONE);
    } catch (CancellationException e) {
      end(id, Job.State.CANCELLED);
    } catch (Exception e) {
      LOG.warn("job {} failed", id, e);
      progress.problem(e.getMessage() == null ? e.toString() : e.getMessage());
      end(id, Job.State.FAILED);
    } catch (OutOfMemoryError e) {
      progress.problem("There is not enough memory for pictures of this size.");
      end(id, Job.State.FAILED);
    }
  }

  private boolean wanted(UUID id) {
    return rows.findById(id).filter(job -> !job.cancelled()).isPresent();
  }

  private void end(UUID id, Job.State how) {
    Job job = rows.findById(id).orElseThrow();
    job.end(how);
    tell(rows.saveAndFlush(job));
  }

  private final class Progress implements Work.Progress {
    private final UUID id;
    private final List<String> problems = new ArrayList<>();

    Progress(UUID id) {
      this.id = id;
    }

    @Override
    public void at(int done, int total, String doing) {
      Job job = rows.findById(id).orElseThrow(Work.Cancelled::new);
      if (job.cancelled()) {
        throw new Work.Cancelled();
      }
      job.at(done, total, doing);
      tell(rows.saveAndFlush(job));
    }

    @Override
    public void problem(String said) {
      problems.add(said);
      Job job = rows.findById(id).orElseThrow();
      job.problems(json.writeValueAsString(problems));
      tell(rows.saveAndFlush(job));
    }
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
    String[] problems = json.readValue(job.problems(), String[].class);
    return new Told(
        job.id(),
        job.shootId(),
        job.kind(),
        works.get(job.kind()).verb(),
        job.state(),
        job.done(),
        job.total(),
        job.doing(),
        Arrays.asList(problems));
  }

  /** A stream of what happens to the jobs of a shoot. */
  public SseEmitter listen(UUID shoot, List<Job> now) {
    SseEmitter emitter = new SseEmitter(0L);
    List<SseEmitter> list = listeners.computeIfAbsent(shoot, k -> new CopyOnWriteArrayList<>());
    list.add(emitter);
    emitter.onCompletion(() -> list.remove(emitter));
    emitter.onError(e -> list.remove(emitter));
    emitter.onTimeout(() -> list.remove(emitter));
    now.forEach(job -> send(emitter, job));
    return emitter;
  }

  private void tell(Job job) {
    listeners.getOrDefault(job.shootId(), List.of()).forEach(e -> send(e, job));
  }

  private void send(SseEmitter emitter, Job job) {
    try {
      emitter.send(SseEmitter.event().name("job").data(json.writeValueAsString(told(job))));
    } catch (IOException | IllegalStateException e) {
      emitter.completeWithError(e);
    }
  }
}
