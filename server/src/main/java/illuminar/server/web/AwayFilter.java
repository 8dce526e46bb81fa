package illuminar.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Sessions are read before any controller is reached, and kept after it: where the database is away
 * by then, the answer is the same as from a controller.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class AwayFilter extends OncePerRequestFilter {
  private final HandlerExceptionResolver problems;

  AwayFilter(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems) {
    this.problems = problems;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (RuntimeException | ServletException e) {
      if (response.isCommitted() || !Outage.is(e)) {
        throw e;
      }
      // a session that could not be kept after the answer was written, or while it was: then the
      // servlet gives up the answer, which said that the database is away, and throws what it was
      // for
      response.reset();
      problems.resolveException(
          request, response, null, new CannotCreateTransactionException("away", e));
    }
  }
}
