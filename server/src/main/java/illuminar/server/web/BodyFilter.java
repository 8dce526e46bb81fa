package illuminar.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Bodies are bounded before anybody reads them; those of files that are sent have bounds of their
 * own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BodyFilter extends OncePerRequestFilter {
  /** Bytes of a body; the largest recipe has about half of it. */
  private static final int MOST = 4_000_000;

  /** Where files are sent, by the tus protocol. */
  private static final Pattern FILES = Pattern.compile("/api/shoots/[^/]+/uploads(/.*)?");

  private final HandlerExceptionResolver problems;

  BodyFilter(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems) {
    this.problems = problems;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return FILES.matcher(request.getRequestURI()).matches();
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (request.getContentLengthLong() > MOST) {
      Problem large =
          new Problem(HttpStatus.CONTENT_TOO_LARGE, "This is more than one request may hold.");
      problems.resolveException(request, response, null, large);
      return;
    }
    chain.doFilter(request.getContentLengthLong() < 0 ? new Bounded(request) : request, response);
  }

  /** A request that does not say how long its body is. */
  private static final class Bounded extends HttpServletRequestWrapper {
    Bounded(HttpServletRequest request) {
      super(request);
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      ServletInputStream all = super.getInputStream();
      return new ServletInputStream() {
        private int left = MOST;

        @Override
        public int read() throws IOException {
          int b = all.read();
          count(b < 0 ? 0 : 1);
          return b;
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
          int n = all.read(into, from, most);
          count(Math.max(0, n));
          return n;
        }

        private void count(int bytes) throws IOException {
          left -= bytes;
          if (left < 0) {
            throw new IOException("the body is longer than " + MOST + " bytes");
          }
        }

        @Override
        public boolean isFinished() {
          return all.isFinished();
        }

        @Override
        public boolean isReady() {
          return all.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
          all.setReadListener(listener);
        }
      };
    }
  }
}
