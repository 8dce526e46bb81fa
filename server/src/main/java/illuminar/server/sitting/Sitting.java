package illuminar.server.sitting;

import illuminar.server.reading.Wanted;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.sitting.messages.Answer;
import illuminar.server.sitting.messages.Request;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.socket.WebSocketSession;
import tools.jackson.databind.JsonNode;

/**
 * Someone sits at a view: one thread that answers one request after the other, what follows a hand
 * first, at most one of a kind and slot waiting. A sharp picture is given up when a newer one is
 * asked for, but not twice in a row, so that something is always seen.
 */
final class Sitting {
  private static final Logger LOG = LoggerFactory.getLogger(Sitting.class);

  private final WebSocketSession session;
  private final Answers answers;
  private final RecipeJson json;
  private final Lanes lanes;
  private final Map<String, JsonNode> waiting = new LinkedHashMap<>();
  private volatile boolean closed;

  /** Whether the last picture was given up for a newer one; the next one is not. */
  private boolean gaveUp;

  Sitting(WebSocketSession session, String name, Answers answers, RecipeJson json, Lanes lanes) {
    this.session = session;
    this.answers = answers;
    this.json = json;
    this.lanes = lanes;
    Thread thread = new Thread(this::serve, "sitting-" + name);
    thread.setDaemon(true);
    thread.start();
  }

  /** Puts a request in line; one of the same kind and slot that has not begun is dropped. */
  void ask(String message) {
    JsonNode request;
    try {
      request = json.tree(message);
    } catch (RuntimeException e) {
      LOG.debug("not a request: {}", e.getMessage());
      return;
    }
    synchronized (waiting) {
      waiting.put(place(request), request);
      waiting.notifyAll();
    }
  }

  void close() {
    synchronized (waiting) {
      closed = true;
      waiting.notifyAll();
    }
  }

  private void serve() {
    for (Optional<JsonNode> at = first(); at.isPresent(); at = first()) {
      JsonNode next = at.get();
      String place = place(next);
      Turns lane = sharp(next) ? lanes.slow() : lanes.quick();
      try {
        // what is answered is what is asked for by the time that it is its turn
        lane.take(
            1,
            () -> !closed,
            () -> {
              one(place);
              return true;
            });
      } catch (CancellationException e) {
        LOG.debug("nobody sits here any more");
      }
    }
  }

  /**
   * A picture that follows a hand, else what has waited longest; nothing once nobody sits here. The
   * others are not kept waiting for long: the hand asks for its next picture once it has this one.
   */
  private Optional<JsonNode> first() {
    synchronized (waiting) {
      while (waiting.isEmpty() && !closed) {
        try {
          waiting.wait();
        } catch (InterruptedException e) {
          return Optional.empty();
        }
      }
      return closed
          ? Optional.empty()
          : waiting.values().stream()
              .filter(Sitting::follows)
              .findFirst()
              .or(() -> waiting.values().stream().findFirst());
    }
  }

  private void one(String place) {
    JsonNode next;
    synchronized (waiting) {
      next = waiting.remove(place);
    }
    boolean mayGiveUp = sharp(next) && !gaveUp;
    gaveUp = false;
    try {
      Wanted.during(() -> !closed && !(mayGiveUp && replaced(place)), () -> answer(next));
    } catch (CancellationException e) {
      gaveUp = true;
    } catch (Exception | OutOfMemoryError e) {
      LOG.debug("preview failed", e);
      send(
          new Answer.ProblemAnswer(
              next.path("seq").asLong(0), text(next, "kind"), text(next, "slot"), said(e)));
    }
  }

  private boolean replaced(String place) {
    synchronized (waiting) {
      return waiting.containsKey(place);
    }
  }

  private static String place(JsonNode request) {
    return text(request, "kind") + " " + text(request, "slot");
  }

  private static boolean follows(JsonNode request) {
    return text(request, "kind").equals("picture")
        && request.path("draft").asBoolean(false)
        && !request.path("aside").asBoolean(false);
  }

  /** Whether it is a picture that may take seconds. */
  private static boolean sharp(JsonNode request) {
    return text(request, "kind").equals("picture") && !request.path("draft").asBoolean(false);
  }

  private static String text(JsonNode request, String name) {
    return request.path(name).asString("");
  }

  /** Refusals say what is wrong in words; anything else is no news for a photographer. */
  private static String said(Throwable e) {
    if (e instanceof OutOfMemoryError) {
      return "There is not enough memory to show this view. Close another one and try again.";
    }
    return RecipeJson.refusal(e)
        .orElse("This picture could not be worked out. Undo the last step and try again.");
  }

  private void answer(JsonNode node) throws Exception {
    Request request = json.convert(node, Request.class);
    Answers.Given given = answers.to(request);
    send(given.head(), given.body());
  }

  private void send(Answer head, byte[]... body) {
    PreviewSocket.send(
        session, json.write(Answer.class, head).getBytes(StandardCharsets.UTF_8), body);
  }
}
