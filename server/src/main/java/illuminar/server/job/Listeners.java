package illuminar.server.job;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/** Tells pages how far the jobs of a shoot are. */
@Component
class Listeners {
  private final JsonMapper json = JsonMapper.shared();
  private final Works works;
  private final Map<UUID, List<SseEmitter>> listeners = new ConcurrentHashMap<>();

  Listeners(Works works) {
    this.works = works;
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
    now.forEach(job -> send(emitter, told(job)));
    return emitter;
  }

  void tell(Job job) {
    Jobs.Told told = told(job);
    listeners.getOrDefault(job.shootId(), List.of()).forEach(e -> send(e, told));
  }

  private void send(SseEmitter emitter, Jobs.Told job) {
    try {
      emitter.send(SseEmitter.event().name("job").data(json.writeValueAsString(job)));
    } catch (IOException | IllegalStateException e) {
      emitter.completeWithError(e);
    }
  }
}
