package illuminar.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.sql.SQLRecoverableException;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.servlet.ModelAndView;

/** An outage beside a controller is answered once, as from a controller (RFC 9457). */
class AwayFilterTest {
  private final MockHttpServletResponse response = new MockHttpServletResponse();
  private final AwayFilter filter =
      new AwayFilter(
          (request, answer, handler, e) -> {
            answer.setStatus(503);
            write("{\"detail\":\"away\"}");
            return new ModelAndView();
          });

  private void write(String words) {
    try {
      response.getWriter().write(words);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** An answer is written, and then something fails. */
  private void after(FilterChain failing) throws Exception {
    filter.doFilter(
        new MockHttpServletRequest("GET", "/api/shoots"),
        response,
        (request, answer) -> {
          write("{\"shoots\":[]}");
          failing.doFilter(request, answer);
        });
  }

  private static TransactionSystemException away(String doing) {
    return new TransactionSystemException(doing, new SQLRecoverableException("closed"));
  }

  @Test
  void anAnswerWhoseSessionCannotBeKeptIsTakenBack() throws Exception {
    after(
        (request, answer) -> {
          throw away("commit");
        });
    assertThat(response.getStatus()).isEqualTo(503);
    assertThat(response.getContentAsString()).isEqualTo("{\"detail\":\"away\"}");
  }

  /**
   * The session is kept as the answer is written, which fails: the servlet throws its first cause.
   */
  @Test
  void anAnswerThatFailsWhileItIsWrittenIsGivenAnew() throws Exception {
    after(
        (request, answer) -> {
          throw new ServletException("Request processing failed", away("rollback"));
        });
    assertThat(response.getStatus()).isEqualTo(503);
    assertThat(response.getContentAsString()).isEqualTo("{\"detail\":\"away\"}");
  }

  @Test
  void anythingElseIsNoOutage() {
    assertThatThrownBy(
            () ->
                after(
                    (request, answer) -> {
                      throw new IllegalArgumentException("wrong");
                    }))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
