package illuminar.server.web;

import illuminar.core.pass.Catalogue;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.BooleanSchema;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import java.util.ArrayList;
import java.util.List;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The recipe's schema, made from the core's own catalogue, beside what springdoc finds by itself.
 */
@Configuration
class ApiDescription {

  @Bean
  OpenApiCustomizer recipeSchemas() {
    return api -> {
      api.info(new Info().title("Illuminar").version("1"));
      api.servers(List.of());
      requireAll(api);
      recipe(api);
      shapes(api);
      moves(api);
    };
  }

  /** What a file's tags may lack; everything else is always there. */
  private static final java.util.Set<String> MAY_LACK =
      java.util.Set.of("seconds", "aperture", "iso", "taken", "stops");

  private static void requireAll(OpenAPI api) {
    for (var entry : api.getComponents().getSchemas().entrySet()) {
      Schema<?> schema = entry.getValue();
      if (schema.getProperties() != null) {
        schema.setRequired(
            schema.getProperties().keySet().stream()
                .filter(
                    n ->
                        !MAY_LACK.contains(n)
                            || n.equals("stops") && entry.getKey().equals("FrameCard"))
                .sorted()
                .toList());
      }
    }
  }

  private static void recipe(OpenAPI api) {
    add(api, "Point", object().p("x", new NumberSchema()).p("y", new NumberSchema()));
    add(
        api,
        "Gate",
        object()
            .p("from", new NumberSchema())
            .p("full", new NumberSchema())
            .p("fullTo", new NumberSchema())
            .p("to", new NumberSchema()));
    add(api, "Where", object().p("region", new StringSchema()).p("outside", new BooleanSchema()));
    add(api, "OneFrame", kind("one-frame").p("frame", new StringSchema()));
    add(
        api,
        "EvenBlend",
        kind("even-blend")
            .p("frames", new ArraySchema().items(new StringSchema()))
            .p("calm", new NumberSchema())
            .p("towards", new StringSchema()));
    add(api, "Ground", new Built(either("OneFrame", "EvenBlend")));
    add(
        api,
        "Pass",
        object()
            .p("id", new StringSchema())
            .p("on", new BooleanSchema())
            .p("move", ref("Move"))
            .p("where", ref("Where"))
            .p("gate", ref("Gate"))
            .p("strength", new NumberSchema())
            .p("why", new StringSchema()));
    add(
        api,
        "Part",
        object()
            .p("id", new StringSchema())
            .p("combine", new StringSchema()._enum(List.of("ADD", "TAKE_AWAY", "OVERLAP")))
            .p("shape", ref("Shape")));
    add(
        api,
        "Region",
        object()
            .p("id", new StringSchema())
            .p("name", new StringSchema())
            .p("parts", new ArraySchema().items(ref("Part")))
            .p("feather", new NumberSchema())
            .p("invert", new BooleanSchema()));
    add(
        api,
        "Recipe",
        object()
            .p("ground", ref("Ground"))
            .p("regions", new ArraySchema().items(ref("Region")))
            .p("passes", new ArraySchema().items(ref("Pass"))));
    add(
        api,
        "RecipeState",
        object()
            .p("recipe", ref("Recipe"))
            .p("revision", new IntegerSchema())
            .p("edition", new IntegerSchema())
            .p("canUndo", new BooleanSchema())
            .p("canRedo", new BooleanSchema())
            .p("said", new StringSchema()));
  }

  private static void shapes(OpenAPI api) {
    add(api, "Outline", kind("outline").p("points", new ArraySchema().items(ref("Point"))));
    add(
        api,
        "Stroke",
        object()
            .p("radius", new NumberSchema())
            .p("softness", new NumberSchema())
            .p("flow", new NumberSchema())
            .p("takeAway", new BooleanSchema())
            .p("points", new ArraySchema().items(ref("Point"))));
    add(api, "Brush", kind("brush").p("strokes", new ArraySchema().items(ref("Stroke"))));
    add(api, "WindowFinder", kind("window-finder").p("grow", new NumberSchema()));
    add(
        api,
        "BurntLight",
        kind("burnt-light").p("frame", new StringSchema()).p("reach", new NumberSchema()));
    add(api, "Shape", new Built(either("Outline", "Brush", "WindowFinder", "BurntLight")));
  }

  private static void moves(OpenAPI api) {
    List<String> names = new ArrayList<>();
    for (Catalogue.Kind kind : Catalogue.kinds()) {
      Built schema = kind(kind.kind());
      for (var c : kind.type().getRecordComponents()) {
        schema.p(
            c.getName(), c.getType() == String.class ? new StringSchema() : new NumberSchema());
      }
      add(api, kind.type().getSimpleName(), schema);
      names.add(kind.type().getSimpleName());
    }
    add(api, "Move", new Built(either(names.toArray(new String[0]))));
  }

  /** A schema whose every property is required. */
  private record Built(Schema<?> schema) {
    Built p(String name, Schema<?> of) {
      schema.addProperty(name, of);
      schema.addRequiredItem(name);
      return this;
    }
  }

  private static Built object() {
    return new Built(new ObjectSchema());
  }

  private static Built kind(String kind) {
    return object().p("kind", new StringSchema()._enum(List.of(kind)));
  }

  private static Schema<?> ref(String name) {
    return new Schema<>().$ref("#/components/schemas/" + name);
  }

  private static Schema<?> either(String... names) {
    Schema<?> s = new Schema<>();
    for (String name : names) {
      s.addOneOfItem(ref(name));
    }
    return s;
  }

  private static void add(OpenAPI api, String name, Built built) {
    api.getComponents().addSchemas(name, built.schema());
  }
}
