package illuminar.server.web;

import illuminar.server.Settings;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Answers under its own names only, so that a page of somebody else's whose name is made to point
 * here reaches nothing. Source: RFC 9110, 15.5.20.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class HostFilter extends OncePerRequestFilter {
  private final HandlerExceptionResolver problems;
  private final Set<String> hosts;

  HostFilter(
      @Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems, Settings settings) {
    this.problems = problems;
    hosts =
        settings.hosts().stream().map(h -> h.toLowerCase(Locale.ROOT)).collect(Collectors.toSet());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (hosts.contains(request.getServerName().toLowerCase(Locale.ROOT))) {
      chain.doFilter(request, response);
      return;
    }
    Problem misdirected =
        new Problem(
            HttpStatus.MISDIRECTED_REQUEST,
            "Illuminar does not answer under this name; see ILLUMINAR_HOSTS.");
    problems.resolveException(request, response, null, misdirected);
  }
}
