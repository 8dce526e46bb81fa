package illuminar.server.job;

import illuminar.server.storage.Recent;
import illuminar.server.web.Outage;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells pages how far the jobs of a shoot are: at once where this process does them, and soon where
 * another does, or where the database was away meanwhile. Nothing is told twice.
 */
@Component
class Listeners {
  /** How long ago a job may have ended that pages are told of. */
  private static final Duration LATELY = Duration.ofMinutes(1);

  /** Jobs whose last word is remembered. */
  private static final int MOST = 1000;

  private final JsonMapper json = JsonMapper.shared();
  private final Works works;
  private final JobRows rows;
  private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();
  private final Map<UUID, Jobs.Told> last = Recent.of(MOST);

  Listeners(Works works, JobRows rows) {
    this.works = works;
    this.rows = rows;
  }

  /** Looks what jobs came to that others do. */
  @Scheduled(fixedDelay = 700)
  void look() {
    List<UUID> heard =
        listeners.entrySet().stream()
            .filter(e -> !e.getValue().isEmpty())
            .map(Map.Entry::getKey)
            .toList();
    if (heard.isEmpty()) {
      return;
    }
    Outage.unlessAway(
        () -> rows.findOpenOrLately(heard, Instant.now().minus(LATELY)).forEach(this::tell));
  }

  Jobs.Told told(Job job) {
    String[] problems = json.readValue(job.problems(), String[].class);
    return new Jobs.Told(
        job.id(),
        job.shootId(),
        job.kind(),
        works.of(job).verb(),
        job.state(),
        job.done(),
        job.total(),
        job.doing(),
        Arrays.asList(problems));
  }

  /** A stream of what happens to the jobs of a shoot, beginning with how some stand now. */
  SseEmitter listen(UUID shoot, List<Job> now) {
    SseEmitter emitter = new SseEmitter(0L);
    List<SseEmitter> list = listeners.computeIfAbsent(shoot, k -> new CopyOnWriteArrayList<>());
    list.add(emitter);
    emitter.onCompletion(() -> list.remove(emitter));
    emitter.onError(e -> list.remove(emitter));
    emitter.onTimeout(() -> list.remove(emitter));
    // without a word the page would not learn that it is heard
    send(emitter, SseEmitter.event().comment("here"));
    now.forEach(job -> send(emitter, told(job)));
    return emitter;
  }

  void tell(Job job) {
    Jobs.Told told = told(job);
    Jobs.Told before = last.get(job.id());
    // what is over stays so, whatever was read a moment before
    if (told.equals(before) || before != null && before.state().over() && !job.over()) {
      return;
    }
    last.put(job.id(), told);
    listeners.getOrDefault(job.shootId(), List.of()).forEach(e -> send(e, told));
  }

  private void send(SseEmitter emitter, Jobs.Told job) {
    send(emitter, SseEmitter.event().name("job").data(json.writeValueAsString(job)));
  }

  private static void send(SseEmitter emitter, SseEmitter.SseEventBuilder event) {
    try {
      emitter.send(event);
    } catch (IOException | IllegalStateException e) {
      emitter.completeWithError(e);
    }
  }
}
