package illuminar.server.recipe;

import illuminar.core.geometry.Geometry;
import illuminar.core.picture.Point;
import illuminar.core.region.DrawnLine;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Recipes saved by earlier versions lack what came later. Each is completed with what they meant.
 */
final class OlderRecipes {
  private static final JsonNode AS_IT_LIES = JsonMapper.shared().valueToTree(Geometry.NONE);

  private OlderRecipes() {}

  /** The same recipe with nothing lacking; modified in place. */
  static JsonNode completed(JsonNode recipe) {
    if (recipe.path("ground") instanceof ObjectNode ground) {
      ground(ground);
    }
    objects(recipe.path("regions"), OlderRecipes::region);
    objects(recipe.path("passes"), OlderRecipes::pass);
    if (recipe instanceof ObjectNode whole) {
      list(whole, "groups");
      if (!whole.has("geometry")) {
        whole.set("geometry", AS_IT_LIES.deepCopy());
      }
      if (whole.path("geometry") instanceof ObjectNode geometry) {
        text(geometry, "why", "");
        number(geometry, "strength", 1);
      }
    }
    return recipe;
  }

  /** A house style with nothing lacking in the passes that it adds; modified in place. */
  static JsonNode completedStyle(JsonNode style) {
    objects(style.path("added"), OlderRecipes::pass);
    return style;
  }

  /** What is no object is left for the reader to refuse. */
  private static void objects(JsonNode list, Consumer<ObjectNode> complete) {
    for (JsonNode node : list) {
      if (node instanceof ObjectNode object) {
        complete.accept(object);
      }
    }
  }

  private static void ground(ObjectNode ground) {
    switch (ground.path("kind").asString("")) {
      case "even-blend" -> {
        number(ground, "contrast", 1);
        number(ground, "saturation", 1);
        number(ground, "exposedness", 1);
        flag(ground, "oneWhereMoving");
        list(ground, "chosen");
      }
      case "radiance-merge" -> {
        number(ground, "asLit", 0);
        number(ground, "held", 0);
        flag(ground, "oneWhereMoving");
        list(ground, "chosen");
      }
      default -> {}
    }
  }

  private static void region(ObjectNode region) {
    number(region, "grow", 0);
    number(region, "edge", 0);
    number(region, "density", 1);
    objects(region.path("parts"), OlderRecipes::part);
  }

  private static void pass(ObjectNode pass) {
    text(pass, "group", "");
    if (pass.path("move") instanceof ObjectNode move) {
      switch (move.path("kind").asString("")) {
        case "bring-frame" -> {
          number(move, "warmer", 0);
          number(move, "tint", 0);
          number(move, "highlights", 0);
          number(move, "shadows", 0);
          number(move, "contrast", 0);
          number(move, "saturation", 1);
          number(move, "reflections", 0);
        }
        case "tone" -> {
          number(move, "midtones", 0);
          number(move, "follow", 0);
        }
        case "clear-haze" -> number(move, "contrast", 0);
        case "detail" -> number(move, "medium", 0);
        case "clear-casts" -> {
          if (!move.has("reference")) {
            move.set("reference", move.has("flash") ? move.remove("flash") : move.stringNode(""));
          }
        }
        default -> {}
      }
    }
  }

  private static void part(ObjectNode part) {
    number(part, "feather", 0);
    number(part, "strength", 1);
    flag(part, "invert");
    flag(part, "off");
    if (part.path("shape") instanceof ObjectNode shape) {
      shape(shape);
    }
  }

  private static void shape(ObjectNode shape) {
    switch (shape.path("kind").asString("")) {
      case "outline" -> flag(shape, "smooth");
      case "burnt-light" -> number(shape, "bloom", 0);
      case "brush" -> {
        number(shape, "ceiling", 1);
        text(shape, "limit", "");
        objects(shape.path("strokes"), OlderRecipes::stroke);
      }
      default -> {}
    }
  }

  /** Strokes once listed their points. */
  private static void stroke(ObjectNode stroke) {
    number(stroke, "stop", 0);
    if (stroke.has("points") && !stroke.has("path")) {
      List<Point> line = new ArrayList<>();
      for (JsonNode p : stroke.remove("points")) {
        line.add(new Point(p.path("x").asDouble(0), p.path("y").asDouble(0)));
      }
      stroke.put("path", DrawnLine.write(line));
    }
  }

  private static void number(ObjectNode node, String name, double value) {
    if (!node.has(name)) {
      node.put(name, value);
    }
  }

  private static void text(ObjectNode node, String name, String value) {
    if (!node.has(name)) {
      node.put(name, value);
    }
  }

  private static void list(ObjectNode node, String name) {
    if (!node.has(name)) {
      node.putArray(name);
    }
  }

  private static void flag(ObjectNode node, String name) {
    if (!node.has(name)) {
      node.put(name, false);
    }
  }
}
