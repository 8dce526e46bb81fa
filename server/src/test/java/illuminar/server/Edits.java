package illuminar.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Changes of a view's recipe, each from where it stands. */
record Edits(Visitor visitor, String view) {

  /** Where the recipe stands. */
  JsonNode state() {
    return visitor.json("/api/views/" + view + "/recipe");
  }

  /** The recipe, to be changed. */
  ObjectNode recipe() {
    return (ObjectNode) state().path("recipe").deepCopy();
  }

  /** Puts another recipe in its place, which is taken. */
  void put(JsonNode recipe) {
    HttpResponse<String> answer =
        visitor.send(
            "PUT", "/api/views/" + view + "/recipe", recipe.toString(), "If-Match", match());
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  /** Undoes or redoes: the last word of the address. */
  void step(String which) {
    visitor.send("POST", "/api/views/" + view + "/" + which, null, "If-Match", match());
  }

  private String match() {
    return "\"" + state().path("edition").asLong() + "\"";
  }

  /**
   * A pass of the kind Tone.
   *
   * @param region its region's id, or empty
   */
  static JsonNode tone(String id, String region, double exposure) {
    return Visitor.JSON.readTree(
        """
        {"id": "%s", "on": true, "strength": 1, "why": "", "group": "",
         "gate": {"from": -100, "full": -100, "fullTo": 100, "to": 100},
         "where": {"region": "%s", "outside": false},
         "move": {"kind": "tone", "exposure": %s, "contrast": 0, "highlights": 0, "shadows": 0,
          "midtones": 0, "follow": 0}}
        """
            .formatted(id, region, exposure));
  }
}
