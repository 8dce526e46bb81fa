package illuminar.server;

import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is sent when frames are arranged anew, and what is drawn before. */
final class RegroupBodies {
  private RegroupBodies() {}

  static final String ELLIPSE =
      part(
          "{\"kind\":\"ellipse\",\"centre\":{\"x\":0.4,\"y\":0.3},\"wide\":0.1,\"high\":0.1,"
              + "\"turn\":0,\"softness\":0.5}");

  static ObjectNode arranged(String view, String anchor, List<JsonNode> frames) {
    ObjectNode v = Visitor.JSON.createObjectNode().put("view", view).put("name", "Room");
    v.put("anchor", anchor);
    ArrayNode list = v.putArray("frames");
    frames.forEach(
        f ->
            list.addObject()
                .put("id", f.path("id").asString())
                .put("role", f.path("role").asString()));
    return v;
  }

  static String body(List<String> bin, ObjectNode... views) {
    ObjectNode all = Visitor.JSON.createObjectNode();
    ArrayNode list = all.putArray("views");
    for (ObjectNode v : views) {
      list.add(v);
    }
    ArrayNode gone = all.putArray("bin");
    bin.forEach(gone::add);
    return all.toString();
  }

  static String part(String shape) {
    return "{\"id\":\"p\",\"combine\":\"ADD\",\"shape\":"
        + shape
        + ",\"feather\":0,\"strength\":1,\"invert\":false,\"off\":false}";
  }

  static String drawn(String id, String... parts) {
    return "{\"id\":\""
        + id
        + "\",\"name\":\"Lamp\",\"grow\":0,\"edge\":0,\"feather\":0,\"density\":1,"
        + "\"invert\":false,\"parts\":["
        + String.join(",", parts)
        + "]}";
  }
}
