package illuminar.benchmarks.running;

import illuminar.benchmarks.Speeds;
import illuminar.server.TestServer;
import illuminar.server.Visitor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A set of thirty views of 24 MP: one carried over to all others, and ten delivered. */
final class WholeSet implements Measure {
  private static final int VIEWS = 30;
  private static final int FRAMES = 3;
  private static final int WIDTH = 6000;
  private static final int DELIVERED = 10;
  private static final int SMALLER = 2048;

  @Override
  public void measure(Speeds speeds) throws Exception {
    Path card = Cards.of("set", Path.of("demo/card"), WIDTH, VIEWS, FRAMES);
    try (TestServer server = new TestServer("running_set", card)) {
      Visitor visitor = new Visitor(server.url()).signedIn();
      String shoot = visitor.demoShoot();
      Photographer photographer = new Photographer(visitor);
      List<String> views = photographer.takeInCard(shoot);
      if (views.size() != VIEWS) {
        throw new IllegalStateException(views.size() + " views");
      }
      carry(visitor, photographer, shoot, views, speeds);
      List<String> some = views.subList(0, DELIVERED);
      double one = delivered(photographer, shoot, some, 0);
      double both = delivered(photographer, shoot, some, 0, SMALLER);
      speeds.times("ten views of 24 MP, JPEG of full size and of 2048 px", both, one, 1.2);
    }
  }

  private static void carry(
      Visitor visitor, Photographer photographer, String shoot, List<String> views, Speeds speeds) {
    ObjectNode body = Visitor.JSON.createObjectNode();
    ArrayNode passes =
        body.putObject("wanted").put("ground", true).put("geometry", true).putArray("passes");
    for (JsonNode pass :
        visitor.json("/api/views/" + views.get(0) + "/recipe").at("/recipe/passes")) {
      passes.add(pass.path("id").asString());
    }
    ArrayNode to = body.putArray("views");
    views.subList(1, VIEWS).forEach(to::add);
    long start = System.nanoTime();
    var answer = visitor.post("/api/views/" + views.get(0) + "/carry", body.toString());
    if (answer.statusCode() != 200) {
      throw new IllegalStateException(answer.body());
    }
    speeds.most("a recipe carried over to 29 views", since(start), "ms", 2000);
    photographer.idle(shoot);
    speeds.most("the same with all covers, 24 MP", since(start), "ms", 60_000);
  }

  /** Milliseconds that a delivery takes. */
  private static double delivered(
      Photographer photographer, String shoot, List<String> views, int... edges) {
    List<Map<String, Object>> as = new ArrayList<>();
    for (int edge : edges) {
      as.add(
          Visitor.specification(
              "JPEG", edge, edge == 0 ? "{view}-{n}" : "{view}-{n}-{size}", "name", "E" + edge));
    }
    long start = System.nanoTime();
    photographer.deliver(shoot, Visitor.order(views, as));
    return since(start);
  }

  private static double since(long start) {
    return (System.nanoTime() - start) / 1e6;
  }
}
