package illuminar.server.web;

import illuminar.server.Settings;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers under its own names only, so that a page of somebody else's whose name is made to point
 * here reaches nothing. Source: RFC 9110, 15.5.20.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class HostFilter extends OncePerRequestFilter {
  private final Set<String> hosts;

  HostFilter(Settings settings) {
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
    response.setStatus(HttpStatus.MISDIRECTED_REQUEST.value());
    response.setContentType("text/plain;charset=UTF-8");
    response
        .getOutputStream()
        .write(
            "Illuminar does not answer under this name; see ILLUMINAR_HOSTS.\n"
                .getBytes(StandardCharsets.UTF_8));
  }
}
