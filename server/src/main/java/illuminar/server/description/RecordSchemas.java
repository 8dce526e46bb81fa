package illuminar.server.description;

import illuminar.core.cover.CoverPage;
import illuminar.core.geometry.Upright;
import illuminar.core.recipe.Recipe;
import illuminar.server.house.LastMoves;
import illuminar.server.recipe.Kinds;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.sitting.messages.Answer;
import illuminar.server.sitting.messages.Request;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.BooleanSchema;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** Schemas of recipes and of socket messages, made from the records themselves. */
final class RecordSchemas {
  private final OpenAPI api;

  RecordSchemas(OpenAPI api) {
    this.api = api;
  }

  void add() {
    RecipeJson.whole().forEach(this::schema);
    Schema<?> cover = new ObjectSchema();
    property(cover, "id", new StringSchema());
    property(cover, "page", ref(CoverPage.class));
    api.getComponents().addSchemas("KeptCover", cover);
    schema(LastMoves.LastMove.class);
    schema(Request.class);
    schema(Answer.class);
    schema(Upright.Leaning.class);
    Schema<?> state = new ObjectSchema();
    property(state, "recipe", ref(Recipe.class));
    property(state, "revision", new IntegerSchema());
    property(state, "edition", new IntegerSchema());
    property(state, "canUndo", new BooleanSchema());
    property(state, "canRedo", new BooleanSchema());
    property(state, "said", new StringSchema());
    property(state, "frames", new ArraySchema().items(new StringSchema()));
    api.getComponents().addSchemas("RecipeState", state);
  }

  private Schema<?> schema(Type type) {
    if (type instanceof ParameterizedType of) {
      Schema<?> content = schema(of.getActualTypeArguments()[0]);
      return of.getRawType() == Optional.class ? content : new ArraySchema().items(content);
    }
    Class<?> c = (Class<?>) type;
    if (c.isArray()) {
      return new ArraySchema().items(schema(c.getComponentType()));
    }
    if (c == String.class) {
      return new StringSchema();
    } else if (c == boolean.class) {
      return new BooleanSchema();
    } else if (c == int.class || c == long.class) {
      return new IntegerSchema();
    } else if (c == double.class || c == Double.class) {
      return new NumberSchema();
    } else if (c.isEnum()) {
      List<String> names = new ArrayList<>();
      Arrays.stream(c.getEnumConstants()).forEach(e -> names.add(((Enum<?>) e).name()));
      return new StringSchema()._enum(names);
    }
    if (!known(c)) {
      // held before it is filled, for records that hold one another
      api.getComponents().addSchemas(c.getSimpleName(), new ObjectSchema());
      api.getComponents()
          .addSchemas(c.getSimpleName(), c.isInterface() ? either(c) : record(c, ""));
    }
    return ref(c);
  }

  private final List<String> made = new ArrayList<>();

  private boolean known(Class<?> c) {
    boolean known = made.contains(c.getSimpleName());
    made.add(c.getSimpleName());
    return known;
  }

  private Schema<?> either(Class<?> choice) {
    Schema<?> either = new Schema<>();
    Kinds.of(choice)
        .forEach(
            (type, kind) -> {
              api.getComponents().addSchemas(type.getSimpleName(), record(type, kind));
              either.addOneOfItem(ref(type));
            });
    return either;
  }

  private Schema<?> record(Class<?> type, String kind) {
    Schema<?> out = new ObjectSchema();
    if (!kind.isEmpty()) {
      property(out, "kind", new StringSchema()._enum(List.of(kind)));
    }
    for (RecordComponent c : type.getRecordComponents()) {
      if (c.getType() == Optional.class) {
        out.addProperty(c.getName(), schema(c.getGenericType()));
      } else {
        property(out, c.getName(), schema(c.getGenericType()));
      }
    }
    return out;
  }

  private static void property(Schema<?> of, String name, Schema<?> schema) {
    of.addProperty(name, schema);
    of.addRequiredItem(name);
  }

  private static Schema<?> ref(Class<?> type) {
    return new Schema<>().$ref("#/components/schemas/" + type.getSimpleName());
  }
}
