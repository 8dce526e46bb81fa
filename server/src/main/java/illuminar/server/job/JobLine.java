package illuminar.server.job;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.jdbc.PostgreSqlJdbcCustomization;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import illuminar.server.Settings;
import illuminar.server.reading.Wanted;
import illuminar.server.web.Outage;
import illuminar.server.web.PlainWords;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.json.JsonMapper;

/**
 * Does jobs one after the other. A job outlives whatever happens round it: it stands in line in the
 * same transaction in which it is kept; where the database goes away in the middle it is tried
 * again after growing pauses; one that a crash or a stop of the server cut short is taken up again;
 * and one that has lost its place in line is put back into it.
 */
@Component
class JobLine {
  private static final Logger LOG = LoggerFactory.getLogger(JobLine.class);

  /** Pause before a job is tried again, and the longest that it grows to. */
  private static final Duration PAUSE = Duration.ofMillis(500);

  private static final Duration LONGEST_PAUSE = Duration.ofSeconds(20);

  /** What a job has to notice that the server stops; then it is cut short. */
  private static final Duration NOTICE = Duration.ofSeconds(2);

  private final Settings settings;
  private final JobRows rows;
  private final Works works;
  private final Listeners listeners;
  private final JdbcTemplate sql;
  private final JsonMapper json = JsonMapper.shared();
  private final String name = "line-" + UUID.randomUUID();
  private final OneTimeTask<String> task;
  private final Scheduler scheduler;
  private final SchedulerClient client;
  private volatile boolean stopping;

  JobLine(Settings settings, JobRows rows, Works works, Listeners listeners, DataSource data) {
    this.settings = settings;
    this.rows = rows;
    this.works = works;
    this.listeners = listeners;
    sql = new JdbcTemplate(data);
    task =
        Tasks.oneTime("job", String.class)
            .onFailure(this::again)
            .execute((instance, context) -> run(UUID.fromString(instance.getId())));
    scheduler =
        Scheduler.create(data, task)
            .schedulerName(new SchedulerName.Fixed(name))
            .jdbcCustomization(new PostgreSqlJdbcCustomization(false, false))
            .threads(1)
            .pollingInterval(Duration.ofMillis(400))
            .heartbeatInterval(Duration.ofSeconds(2))
            .missedHeartbeatsLimit(4)
            .shutdownMaxWait(NOTICE)
            .build();
    client =
        SchedulerClient.Builder.create(new TransactionAwareDataSourceProxy(data), task)
            .jdbcCustomization(new PostgreSqlJdbcCustomization(false, false))
            .build();
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (settings.jobs()) {
      scheduler.start();
    }
  }

  /** What is being done notices it while the rest of the server stops. */
  @EventListener(ContextClosedEvent.class)
  void stopping() {
    stopping = true;
  }

  /** What is being done is put back, so that the next start goes on with it at once. */
  @PreDestroy
  void stop() {
    scheduler.stop();
    try {
      sql.update(
          "update scheduled_tasks set picked = false, picked_by = null, last_heartbeat = null,"
              + " version = version + 1 where picked_by = ?",
          name);
    } catch (RuntimeException e) {
      LOG.info("the database is away; the next start finds by itself what was not finished", e);
    }
  }

  /** Puts a job in line, in the transaction that keeps it. */
  void join(Job job) {
    client.scheduleIfNotExists(task.instance(job.id().toString(), ""), Instant.now());
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            if (settings.jobs()) {
              scheduler.triggerCheckForDueExecutions();
            }
          }
        });
  }

  /** Puts jobs back in line that are not over and stand in none. */
  @Scheduled(initialDelay = 5 * 1000L, fixedDelay = 20 * 1000L)
  void sweep() {
    if (settings.jobs() && !stopping) {
      Outage.unlessAway(this::findLost);
    }
  }

  private void findLost() {
    List<String> lost =
        sql.queryForList(
            "select id::text from job where finished is null"
                + " and created < now() - interval '10 seconds' and not exists"
                + " (select 1 from scheduled_tasks where task_name = 'job'"
                + " and task_instance = job.id::text)",
            String.class);
    for (String id : lost) {
      LOG.warn("job {} had lost its place in line", id);
      client.scheduleIfNotExists(task.instance(id, ""), Instant.now());
    }
  }

  private void again(ExecutionComplete done, ExecutionOperations<String> ops) {
    int times = done.getExecution().consecutiveFailures;
    Duration pause = stopping ? Duration.ZERO : PAUSE.multipliedBy(1L << Math.min(times, 10));
    Duration bounded = pause.compareTo(LONGEST_PAUSE) < 0 ? pause : LONGEST_PAUSE;
    ops.reschedule(done, Instant.now().plus(bounded));
  }

  /** The server stops, or the database is away: the job waits in line. */
  private static final class Later extends RuntimeException {
    private static final long serialVersionUID = 1;

    Later(String why) {
      super(why, null, false, false);
    }
  }

  private void run(UUID id) {
    Job job = rows.findById(id).orElse(null);
    if (job == null || job.over()) {
      return;
    }
    Progress progress = new Progress(id, job);
    try {
      Wanted.during(new Asking(() -> wanted(id)), () -> works.of(job).run(job, progress));
      end(id, Job.State.DONE);
    } catch (CancellationException e) {
      later(e, stopping);
      end(id, Job.State.CANCELLED);
    } catch (Exception | OutOfMemoryError e) {
      later(e, stopping || Outage.is(e));
      LOG.warn("job {} failed", id, e);
      progress.problem(PlainWords.of(e));
      end(id, Job.State.FAILED);
    }
  }

  private static void later(Throwable e, boolean is) {
    if (is) {
      throw new Later("put back in line: " + e.getMessage());
    }
  }

  private boolean wanted(UUID id) {
    try {
      return !stopping && rows.findById(id).filter(job -> !job.cancelled()).isPresent();
    } catch (RuntimeException e) {
      // nobody can have called it off meanwhile
      if (Outage.is(e)) {
        return true;
      }
      throw e;
    }
  }

  private void end(UUID id, Job.State how) {
    Job job = rows.findById(id).orElseThrow();
    job.end(how);
    listeners.tell(rows.saveAndFlush(job));
  }

  private final class Progress implements Work.Progress {
    private final UUID id;
    private final List<String> problems = new ArrayList<>();

    Progress(UUID id, Job job) {
      this.id = id;
      // what was said before the job was cut short is found again, or is no problem any more
      if (!job.problems().equals("[]")) {
        keep();
      }
    }

    @Override
    public void at(int done, int total, String doing) {
      Job job = rows.findById(id).orElseThrow(Work.Cancelled::new);
      if (job.cancelled() || stopping) {
        throw new Work.Cancelled();
      }
      job.at(done, total, doing);
      listeners.tell(rows.saveAndFlush(job));
    }

    @Override
    public void problem(String said) {
      problems.add(said);
      keep();
    }

    private void keep() {
      Job job = rows.findById(id).orElseThrow();
      job.problems(json.writeValueAsString(problems));
      listeners.tell(rows.saveAndFlush(job));
    }
  }
}
