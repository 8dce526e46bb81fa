package illuminar.server.web;

import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors as RFC 9457 problem details. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

  @ExceptionHandler(Problem.class)
  ProblemDetail said(Problem e) {
    return ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
  }

  @ExceptionHandler(IllegalArgumentException.class)
  ProblemDetail refused(IllegalArgumentException e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_ENTITY, e.getMessage());
  }

  @ExceptionHandler({DataAccessException.class, CannotCreateTransactionException.class})
  ProblemDetail database(Exception e) {
    logger.warn("database: " + e.getMessage());
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.SERVICE_UNAVAILABLE,
        "The database cannot be reached just now. Nothing that was saved is lost; try again in a moment.");
  }
}
