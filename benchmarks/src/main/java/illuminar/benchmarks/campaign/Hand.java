package illuminar.benchmarks.campaign;

import illuminar.server.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.locks.LockSupport;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Someone who edits a view and remembers what was acknowledged, whatever happens meanwhile. */
final class Hand implements Runnable {
  private static final String TONE =
      "{\"id\":\"hand\",\"on\":true,\"move\":{\"kind\":\"tone\",\"exposure\":%s,\"highlights\":0,\"shadows\":0,"
          + "\"midtones\":0,\"contrast\":0,\"follow\":0},\"where\":{\"region\":\"\",\"outside\":false},"
          + "\"gate\":{\"from\":-100,\"full\":-100,\"fullTo\":100,\"to\":100},\"strength\":1,\"why\":\"\",\"group\":\"\"}";

  private final Visitor visitor;
  private final String path;
  private volatile boolean ends;
  private int step;
  private int acknowledged;
  private int lost;
  private int failures;

  /** Edition and value that were acknowledged last, and the value that was sent last. */
  private long edition;

  private double value = Double.NaN;
  private double sent = Double.NaN;

  Hand(Visitor visitor, String view) {
    this.visitor = visitor;
    path = "/api/views/" + view + "/recipe";
    edition = look().path("edition").asLong();
  }

  @Override
  public void run() {
    while (!ends) {
      try {
        JsonNode state = look();
        if (state.has("edition")) {
          compare(state);
          put(state);
        } else {
          LockSupport.parkNanos(50_000_000L);
        }
      } catch (IllegalStateException e) {
        // nobody answers just now
        LockSupport.parkNanos(50_000_000L);
      } catch (JacksonException e) {
        failures++;
        System.out.println("an answer is no JSON: " + e.getMessage());
      }
    }
  }

  private JsonNode look() {
    HttpResponse<String> answer = visitor.get(path);
    if (nobody(answer)) {
      throw new IllegalStateException("nobody answers");
    }
    return Visitor.JSON.readTree(answer.body());
  }

  /** Whether a proxy says that no node is there, or a node that the database is away. */
  private static boolean nobody(HttpResponse<String> answer) {
    return answer.statusCode() == 502 || answer.statusCode() == 503 || answer.statusCode() == 504;
  }

  /** What is there must be what was acknowledged last, or what was sent after it. */
  private void compare(JsonNode state) {
    if (acknowledged == 0) {
      return;
    }
    double there = value(state);
    long now = state.path("edition").asLong();
    boolean same = now == edition && there == value;
    boolean further = now == edition + 1 && there == sent;
    if (further) {
      // what was not acknowledged was done; from now on it must stay
      edition = now;
      value = there;
    }
    if (!same && !further) {
      lost++;
      System.out.printf(
          "lost: edition %d with %s where %d with %s was acknowledged and %s sent%n",
          now, there, edition, value, sent);
    }
  }

  private static double value(JsonNode state) {
    for (JsonNode pass : state.at("/recipe/passes")) {
      if (pass.path("id").asString().equals("hand")) {
        return pass.at("/move/exposure").asDouble();
      }
    }
    return Double.NaN;
  }

  private void put(JsonNode state) {
    ObjectNode recipe = (ObjectNode) state.path("recipe");
    List<JsonNode> passes = new ArrayList<>();
    recipe.path("passes").forEach(passes::add);
    passes.removeIf(p -> p.path("id").asString().equals("hand"));
    sent = (++step % 200 - 100) / 100.0;
    passes.add(Visitor.JSON.readTree(TONE.formatted(String.format(Locale.ROOT, "%.2f", sent))));
    recipe.putArray("passes").addAll(passes);
    long from = state.path("edition").asLong();
    HttpResponse<String> answer =
        visitor.send("PUT", path, recipe.toString(), "If-Match", "\"" + from + "\"");
    if (answer.statusCode() == 200) {
      JsonNode now = Visitor.JSON.readTree(answer.body());
      edition = now.path("edition").asLong();
      value = value(now);
      acknowledged++;
    } else if (!nobody(answer)) {
      failures++;
      System.out.println("an edit was answered " + answer.statusCode() + " " + answer.body());
    }
  }

  void end() {
    ends = true;
  }

  int acknowledged() {
    return acknowledged;
  }

  /** How often something that was acknowledged was not there. */
  int lost() {
    return lost;
  }

  /** Answers that were neither an acknowledgement nor that the database, or every node, is away. */
  int failures() {
    return failures;
  }
}
