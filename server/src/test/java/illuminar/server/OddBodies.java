package illuminar.server;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;

/** Sends bodies that make no sense to every address of the API's own description. */
public final class OddBodies {
  private static final List<String> BODIES =
      List.of(
          "",
          "{}",
          "null",
          "[]",
          "[null]",
          "7",
          "\"word\"",
          "{",
          "{\"name\":null}",
          "{\"name\":\"\\u0000\"}",
          "{\"name\":\"" + "ü".repeat(5000) + "\"}",
          "{\"name\":\"50 % off\\u202e\\n\"}",
          "{\"name\":{\"name\":[]}}",
          "{\"email\":\"\\u0000\",\"password\":\"\\u0000\"}",
          "{\"email\":null,\"password\":null}",
          "{\"views\":null}",
          "{\"views\":[null]}",
          "{\"views\":[{\"name\":\"a\",\"anchor\":\"x\",\"frames\":null}]}",
          "{\"views\":[{\"name\":\"a\",\"anchor\":\"\\u0000\",\"frames\":[{\"id\":\"\\u0000\",\"role\":\"AMBIENT\"}]}]}",
          "{\"views\":[],\"specifications\":[{\"format\":\"no-such\",\"quality\":1e99}],\"credits\":{}}",
          "{\"views\":[\"00000000-0000-0000-0000-000000000000\"],\"specifications\":null}",
          "{\"ids\":[null],\"order\":[null]}",
          "{\"ground\":null,\"regions\":null,\"passes\":null}",
          "{\"recipe\":{\"ground\":null},\"edition\":\"x\"}",
          "{\"recipe\":{\"ground\":{\"kind\":\"no-such\"},\"regions\":[],\"passes\":[]}}",
          "[".repeat(3000) + "]".repeat(3000));

  private final Visitor visitor;
  private final String shoot;
  private final String view;
  private final Map<String, String> failed = new TreeMap<>();
  private int asked;

  public OddBodies(Visitor visitor, String shoot, String view) {
    this.visitor = visitor;
    this.shoot = shoot;
    this.view = view;
  }

  public void askAll() {
    JsonNode paths = visitor.json("/api/openapi").path("paths");
    for (String path : paths.propertyNames()) {
      for (String method : paths.path(path).propertyNames()) {
        // signing out or being deleted would end it
        if (!method.equals("delete")) {
          List<String> bodies = method.matches("post|put|patch") ? BODIES : List.of("");
          addresses(path, shoot, view).forEach(at -> bodies.forEach(body -> ask(method, at, body)));
        }
      }
    }
  }

  private void ask(String method, String at, String body) {
    HttpResponse<String> answer =
        visitor.send(method.toUpperCase(Locale.ROOT), at, body, "If-Match", "\"1\"");
    asked++;
    if (answer.statusCode() >= 500) {
      String shown = body.length() > 60 ? body.substring(0, 60) + "…" : body;
      failed.put(method + " " + at + " " + shown, answer.statusCode() + answer.body());
    }
  }

  /** How many requests were sent. */
  public int asked() {
    return asked;
  }

  /** Requests that were answered with a failure of the server, and what was said. */
  public Map<String, String> failed() {
    return failed;
  }

  /** An address with what is there, and with what is not. */
  private static List<String> addresses(String path, String shoot, String view) {
    if (path.contains("progress") || path.startsWith("/api/account/sessions")) {
      return List.of();
    }
    List<String> out = new ArrayList<>();
    String there = path.contains("/views/") ? view : shoot;
    for (String id : List.of(there, "00000000-0000-0000-0000-000000000000", "a%00b", "%25")) {
      String at = path.replaceAll("\\{[^}]*}", id);
      if (!out.contains(at)) {
        out.add(at);
      }
    }
    return out;
  }
}
