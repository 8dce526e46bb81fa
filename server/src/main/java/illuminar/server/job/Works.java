package illuminar.server.job;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** All kinds of work by their names. */
@Component
class Works {
  private final Map<String, Work> all;

  Works(List<Work> all) {
    this.all = all.stream().collect(Collectors.toMap(Work::kind, Function.identity()));
  }

  Work of(Job job) {
    return all.get(job.kind());
  }
}
