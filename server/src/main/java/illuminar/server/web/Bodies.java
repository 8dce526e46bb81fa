package illuminar.server.web;

import jakarta.validation.constraints.NotNull;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.Map;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Looks every body over before a controller sees it: what the API's description calls required is
 * there, lists have no gaps, and texts hold no NUL, which the database cannot keep.
 */
@RestControllerAdvice
class Bodies extends RequestBodyAdviceAdapter {

  @Override
  public boolean supports(
      MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type type,
      Class<? extends HttpMessageConverter<?>> converter) {
    check("the body", body);
    return body;
  }

  private static void check(String name, Object value) {
    if (value instanceof String text) {
      if (text.indexOf('\0') >= 0) {
        throw refused(name + " holds a character that cannot be kept.");
      }
    } else if (value instanceof Collection<?> all) {
      for (Object one : all) {
        if (one == null) {
          throw refused(name + " has a gap.");
        }
        check(name, one);
      }
    } else if (value instanceof Map<?, ?> all) {
      all.forEach(
          (key, one) -> {
            check(name, key);
            check(name, one);
          });
    } else if (value instanceof Record) {
      for (RecordComponent part : value.getClass().getRecordComponents()) {
        Object of = read(part.getAccessor(), value);
        if (of == null && part.getAccessor().isAnnotationPresent(NotNull.class)) {
          throw refused(part.getName() + " is missing.");
        }
        check(part.getName(), of);
      }
    }
  }

  private static Object read(Method accessor, Object of) {
    try {
      accessor.setAccessible(true);
      return accessor.invoke(of);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Problem refused(String said) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, PlainWords.sentence(said));
  }
}
