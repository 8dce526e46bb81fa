package illuminar.server;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The small card's one view taken in as two: two of its ambient frames are the second, the others
 * with window and flash the first.
 */
public record TwoViews(String shoot, String first, String second) {
  public static final String FIRST = "Room";
  public static final String SECOND = "Other room";

  /** Takes them in to the first shoot and waits. */
  public static TwoViews takenIn(Visitor visitor) {
    String shoot = visitor.demoShoot();
    JsonNode waiting = visitor.json("/api/shoots/" + shoot + "/waiting");
    ObjectNode first = (ObjectNode) waiting.at("/views/0");
    ObjectNode second = first.deepCopy();
    List<JsonNode> all = new ArrayList<>();
    first.path("frames").forEach(all::add);
    List<JsonNode> other = all.stream().filter(TwoViews::ambient).limit(2).toList();
    all.removeAll(other);
    put(first, FIRST, all);
    put(second, SECOND, other);
    ObjectNode sheet = Visitor.JSON.createObjectNode();
    sheet.putArray("views").add(first).add(second);
    String answer = visitor.post("/api/shoots/" + shoot + "/intake", sheet.toString()).body();
    visitor.done(shoot, Visitor.JSON.readTree(answer).path("id").asString());
    JsonNode views = visitor.json("/api/shoots/" + shoot).path("views");
    return new TwoViews(
        shoot, views.get(0).path("id").asString(), views.get(1).path("id").asString());
  }

  private static boolean ambient(JsonNode frame) {
    return frame.path("role").asString().equals("AMBIENT");
  }

  private static void put(ObjectNode view, String name, List<JsonNode> frames) {
    JsonNode anchor = frames.stream().filter(TwoViews::ambient).findFirst().orElseThrow();
    view.put("name", name);
    view.put("anchor", anchor.path("id").asString());
    ArrayNode list = view.putArray("frames");
    frames.forEach(list::add);
  }
}
