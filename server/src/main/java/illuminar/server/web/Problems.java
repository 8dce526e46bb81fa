package illuminar.server.web;

import illuminar.server.storage.StoreAway;
import java.sql.SQLException;
import java.util.concurrent.CancellationException;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.util.DisconnectedClientHelper;

/** Errors as RFC 9457 problem details. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

  @ExceptionHandler(Problem.class)
  ProblemDetail said(Problem e) {
    return ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
  }

  @ExceptionHandler(IllegalArgumentException.class)
  ProblemDetail refused(IllegalArgumentException e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
  }

  /** What nobody foresaw; the log says more. */
  @ExceptionHandler(Exception.class)
  ProblemDetail unforeseen(Exception e) {
    if (DisconnectedClientHelper.isClientDisconnectedException(e)) {
      return null;
    }
    logger.error("unforeseen", e);
    return ProblemDetail.forStatusAndDetail(HttpStatus.INTERNAL_SERVER_ERROR, PlainWords.of(e));
  }

  /** Reading is called off when the server stops. */
  @ExceptionHandler(CancellationException.class)
  ProblemDetail calledOff(CancellationException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.SERVICE_UNAVAILABLE,
        "This was called off, since the server is stopping. Try again in a moment.");
  }

  /** A body whose values are refused says which and why; one that cannot be read says no more. */
  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return NestedExceptionUtils.getMostSpecificCause(e) instanceof IllegalArgumentException refused
        ? ResponseEntity.unprocessableContent().body(refused(refused))
        : super.handleHttpMessageNotReadable(e, headers, status, request);
  }

  @ExceptionHandler(AccessDeniedException.class)
  ProblemDetail notAllowed(AccessDeniedException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.FORBIDDEN, "Your role in the studio does not allow this; an owner can.");
  }

  @ExceptionHandler(OptimisticLockingFailureException.class)
  ProblemDetail overtaken(OptimisticLockingFailureException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONFLICT, "Something else changed this at the same moment. Try again.");
  }

  /** Two at once, or a value that the database cannot hold. */
  @ExceptionHandler(DataIntegrityViolationException.class)
  ProblemDetail unfit(DataIntegrityViolationException e) {
    logger.info("refused by the database: " + e.getMessage());
    return NestedExceptionUtils.getMostSpecificCause(e) instanceof SQLException s
            && String.valueOf(s.getSQLState()).startsWith("22")
        ? ProblemDetail.forStatusAndDetail(
            HttpStatus.UNPROCESSABLE_CONTENT, "A value in it cannot be kept as it is.")
        : ProblemDetail.forStatusAndDetail(
            HttpStatus.CONFLICT, "Something else changed this at the same moment. Try again.");
  }

  @ExceptionHandler({DataAccessException.class, TransactionException.class})
  ProblemDetail database(Exception e) {
    logger.warn("database: " + e.getMessage());
    if (!Outage.is(e)) {
      return ProblemDetail.forStatusAndDetail(HttpStatus.INTERNAL_SERVER_ERROR, PlainWords.of(e));
    }
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.SERVICE_UNAVAILABLE,
        "The database cannot be reached just now. Nothing that was saved is lost; try again in a moment.");
  }

  @ExceptionHandler(StoreAway.class)
  ProblemDetail store(StoreAway e) {
    logger.warn("store", e);
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.SERVICE_UNAVAILABLE,
        "The store of originals cannot be reached just now; try again in a moment.");
  }
}
