package illuminar.server.recipe;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Catalogue;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Shape;
import illuminar.server.web.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/** Recipes as JSON: every closed choice says its {@code kind}. */
@Component
public class RecipeJson {

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  private interface Kinds {}

  private abstract static class Plain {
    @JsonIgnore
    abstract boolean all();

    @JsonIgnore
    abstract boolean everywhere();

    @JsonIgnore
    abstract boolean active();
  }

  private final JsonMapper mapper;

  RecipeJson() {
    JsonMapper.Builder b =
        JsonMapper.builder()
            .addMixIn(Ground.class, Kinds.class)
            .addMixIn(Shape.class, Kinds.class)
            .addMixIn(Move.class, Kinds.class)
            .addMixIn(Gate.class, Plain.class)
            .addMixIn(Pass.class, Plain.class)
            .registerSubtypes(
                new NamedType(Ground.OneFrame.class, "one-frame"),
                new NamedType(Ground.EvenBlend.class, "even-blend"),
                new NamedType(Shape.Outline.class, "outline"),
                new NamedType(Shape.Brush.class, "brush"),
                new NamedType(Shape.WindowFinder.class, "window-finder"),
                new NamedType(Shape.BurntLight.class, "burnt-light"))
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES);
    for (Catalogue.Kind kind : Catalogue.kinds()) {
      b.registerSubtypes(new NamedType(kind.type(), kind.kind()));
    }
    mapper = b.build();
  }

  public String write(Object value) {
    return mapper.writeValueAsString(value);
  }

  /** Reads a recipe; says what is wrong with it where it cannot. */
  public Recipe read(String json) {
    return read(json, Recipe.class);
  }

  public <T> T read(String json, Class<T> type) {
    try {
      return mapper.readValue(json, type);
    } catch (JacksonException e) {
      Throwable root = e;
      while (root.getCause() != null) {
        root = root.getCause();
      }
      String said =
          root instanceof IllegalArgumentException ? root.getMessage() : e.getOriginalMessage();
      throw new Problem(HttpStatus.UNPROCESSABLE_ENTITY, "This recipe cannot be read: " + said);
    }
  }

  public JsonNode tree(String json) {
    return mapper.readTree(json);
  }

  /** A JSON tree as an object of a type. */
  public <T> T convert(JsonNode node, Class<T> type) {
    return mapper.treeToValue(node, type);
  }
}
