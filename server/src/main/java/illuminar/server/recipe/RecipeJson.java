package illuminar.server.recipe;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import illuminar.core.cover.CoverPage;
import illuminar.core.geometry.Crop;
import illuminar.core.geometry.Geometry;
import illuminar.core.house.HouseStyle;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.recipe.Recipe;
import illuminar.server.web.PlainWords;
import illuminar.server.web.Problem;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.InvalidTypeIdException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;

/** Recipes as JSON: every closed choice says its {@code kind}. */
@Component
public class RecipeJson {

  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  private interface Kind {}

  @SuppressWarnings("UnusedMethod") // their names alone count
  private abstract static class Plain {
    @JsonIgnore
    abstract boolean all();

    @JsonIgnore
    abstract boolean everywhere();

    @JsonIgnore
    abstract boolean active();

    @JsonIgnore
    abstract boolean moves();

    @JsonIgnore
    abstract boolean placed();
  }

  /** What travels and is kept whole, and how what an earlier version saved is completed. */
  private static final Map<Class<? extends Record>, UnaryOperator<JsonNode>> WHOLE =
      Map.of(
          Recipe.class, OlderRecipes::completed,
          HouseStyle.class, OlderRecipes::completedStyle,
          CoverPage.class, UnaryOperator.identity());

  private final JsonMapper mapper;

  /** The types that this reads for bodies of requests, and that the core's records describe. */
  public static List<Class<? extends Record>> whole() {
    return WHOLE.keySet().stream().sorted(Comparator.comparing(Class::getSimpleName)).toList();
  }

  RecipeJson() {
    JsonMapper.Builder b =
        JsonMapper.builder()
            .addMixIn(Gate.class, Plain.class)
            .addMixIn(Pass.class, Plain.class)
            .addMixIn(Geometry.class, Plain.class)
            .addMixIn(Crop.class, Plain.class)
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES);
    for (Class<?> choice : Kinds.choices()) {
      b.addMixIn(choice, Kind.class);
      Kinds.of(choice).forEach((type, kind) -> b.registerSubtypes(new NamedType(type, kind)));
    }
    mapper = b.build();
  }

  /** A value as one of a closed choice, with its kind. */
  public <T> String write(Class<T> choice, T value) {
    return mapper.writerFor(choice).writeValueAsString(value);
  }

  public String write(Object value) {
    return mapper.writeValueAsString(value);
  }

  /** Reads a recipe; says what is wrong with it where it cannot. */
  public Recipe read(String json) {
    return read(json, Recipe.class);
  }

  /** Reads a value in the same way; one that an earlier version saved is completed. */
  public <T> T read(String json, Class<T> type) {
    UnaryOperator<JsonNode> completed = WHOLE.getOrDefault(type, UnaryOperator.identity());
    return read(() -> mapper.treeToValue(completed.apply(mapper.readTree(json)), type));
  }

  private static <T> T read(Supplier<T> read) {
    try {
      T value = read.get();
      if (value == null) {
        throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "There is nothing in it.");
      }
      return value;
    } catch (JacksonException e) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          refusal(e).orElseGet(() -> "This cannot be read: " + strange(e)));
    }
  }

  private static String strange(JacksonException e) {
    return e instanceof InvalidTypeIdException unknown
        ? "this version knows no " + unknown.getTypeId() + "."
        : "it was made by another version.";
  }

  /** What a refused value said of itself, in words for a photographer; nothing for other errors. */
  public static Optional<String> refusal(Throwable e) {
    Throwable root = e;
    while (root.getCause() != null) {
      root = root.getCause();
    }
    return root instanceof IllegalArgumentException || root instanceof Problem
        ? Optional.of(PlainWords.sentence(root.getMessage()))
        : Optional.empty();
  }

  public JsonNode tree(String json) {
    return mapper.readTree(json);
  }

  /** A JSON tree as an object of a type. */
  public <T> T convert(JsonNode node, Class<T> type) {
    return mapper.treeToValue(node, type);
  }
}
