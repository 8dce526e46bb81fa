package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Deliveries of a shoot, as whoever orders them goes about it. */
record Deliveries(Visitor visitor, String shoot) {

  /** Orders and waits; the job when it is over. */
  JsonNode made(String order) {
    HttpResponse<String> answer = visitor.post("/api/shoots/" + shoot + "/delivery", order);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(202);
    return visitor.done(shoot, Visitor.JSON.readTree(answer.body()).path("id").asString());
  }

  /** The finished files of a job by the names of their specifications. */
  Map<String, JsonNode> files(JsonNode job) {
    Map<String, JsonNode> mine = new LinkedHashMap<>();
    for (JsonNode f : visitor.json("/api/shoots/" + shoot + "/delivered")) {
      if (f.path("job").equals(job.path("id"))) {
        mine.put(f.path("specification").asString(), f);
      }
    }
    return mine;
  }

  /** A finished file, fetched. */
  Path fetched(JsonNode file) throws IOException {
    Path to = Files.createTempFile("delivered", file.path("name").asString());
    Files.write(to, visitor.bytes("/api/delivered/" + file.path("id").asString()));
    return to;
  }
}
