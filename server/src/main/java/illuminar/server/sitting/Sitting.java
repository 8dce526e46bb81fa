package illuminar.server.sitting;

import illuminar.server.recipe.RecipeJson;
import illuminar.server.sitting.messages.Answer;
import illuminar.server.sitting.messages.Request;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.socket.WebSocketSession;
import tools.jackson.databind.JsonNode;

/**
 * Someone sits at a view: one thread that answers one request after the other, at most one of a
 * kind and slot waiting.
 */
final class Sitting {
  private static final Logger LOG = LoggerFactory.getLogger(Sitting.class);

  private final WebSocketSession session;
  private final Answers answers;
  private final RecipeJson json;
  private final Map<String, JsonNode> waiting = new LinkedHashMap<>();
  private boolean closed;

  Sitting(WebSocketSession session, String name, Answers answers, RecipeJson json) {
    this.session = session;
    this.answers = answers;
    this.json = json;
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
      String place = text(request, "kind") + " " + text(request, "slot");
      waiting.remove(place);
      waiting.put(place, request);
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
    while (true) {
      JsonNode next;
      synchronized (waiting) {
        while (waiting.isEmpty() && !closed) {
          try {
            waiting.wait();
          } catch (InterruptedException e) {
            return;
          }
        }
        if (closed) {
          return;
        }
        next = waiting.remove(waiting.keySet().iterator().next());
      }
      try {
        answer(next);
      } catch (Exception | OutOfMemoryError e) {
        LOG.debug("preview failed", e);
        send(
            new Answer.ProblemAnswer(
                next.path("seq").asLong(0), text(next, "kind"), text(next, "slot"), said(e)));
      }
    }
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
