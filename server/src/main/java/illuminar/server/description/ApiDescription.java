package illuminar.server.description;

import illuminar.server.recipe.RecipeJson;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The recipe's schema, made from the core's own catalogue, beside what springdoc finds by itself.
 */
@Configuration
class ApiDescription {
  static {
    // what recipes are made of is told by the catalogue, not by their classes
    for (Class<?> told : RecipeJson.whole()) {
      SpringDocUtils.getConfig()
          .replaceWithSchema(
              told, new Schema<>().$ref("#/components/schemas/" + told.getSimpleName()));
    }
  }

  @Bean
  OpenApiCustomizer recipeSchemas() {
    return api -> {
      api.info(new Info().title("Illuminar").version("1"));
      api.servers(List.of());
      requireAll(api);
      new RecordSchemas(api).add();
    };
  }

  /** What may be lacking, by its schema: a file's tags, what is new; everything else is there. */
  private static final Map<String, Set<String>> MAY_LACK =
      Map.of(
          "WaitingFrame", Set.of("seconds", "aperture", "iso", "focal", "taken", "stops"),
          "FrameCard", Set.of("seconds", "aperture", "iso", "focal", "taken"),
          "ViewCard", Set.of("restsUntil"),
          "Judging", Set.of("until"),
          "WantedView", Set.of("into"),
          "Arranged", Set.of("view", "anchor"),
          "Regrouped", Set.of("job"));

  private static void requireAll(OpenAPI api) {
    api.getComponents().getSchemas().forEach(ApiDescription::requireAll);
  }

  private static void requireAll(String name, Schema<?> schema) {
    if (schema.getProperties() != null) {
      schema.setRequired(
          schema.getProperties().keySet().stream()
              .filter(n -> !MAY_LACK.getOrDefault(name, Set.of()).contains(n))
              .sorted()
              .toList());
    }
  }
}
