package illuminar.server.recipe;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpOutputMessage;
import org.springframework.http.MediaType;
import org.springframework.http.converter.AbstractHttpMessageConverter;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.stereotype.Component;

/** Recipes, house styles and covers in the bodies of requests, read and refused as everywhere. */
@Component
class RecipeBodies extends AbstractHttpMessageConverter<Record> {
  private final RecipeJson json;

  RecipeBodies(RecipeJson json) {
    super(MediaType.ALL);
    this.json = json;
  }

  @Override
  protected boolean supports(Class<?> type) {
    return RecipeJson.whole().contains(type);
  }

  @Override
  protected Record readInternal(Class<? extends Record> type, HttpInputMessage message)
      throws IOException {
    return json.read(new String(message.getBody().readAllBytes(), StandardCharsets.UTF_8), type);
  }

  @Override
  protected boolean canWrite(MediaType type) {
    return false;
  }

  @Override
  protected void writeInternal(Record recipe, HttpOutputMessage message) {
    throw new HttpMessageNotWritableException("recipes are written by who answers");
  }
}
