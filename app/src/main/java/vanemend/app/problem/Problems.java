package vanemend.app.problem;

import java.time.temporal.Temporal;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.NonTransientDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.dao.UncategorizedDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import vanemend.app.store.Trouble;

/** Turns everything that goes wrong into an RFC 9457 problem; never a stack trace. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ResponseEntity<Object> refused(Refused e, WebRequest request) {
        ProblemDetail p = ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
        p.setTitle(e.title());
        e.more().forEach(p::setProperty);
        return createResponseEntity(p, new HttpHeaders(), e.status(), request);
    }

    /** Two did the same at once and this one was later. */
    @ExceptionHandler
    ResponseEntity<Object> twice(DuplicateKeyException e, WebRequest request) {
        ProblemDetail p = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "Somebody was quicker: that is here already. Look again, then go on.");
        p.setTitle("Here already");
        return createResponseEntity(p, new HttpHeaders(), HttpStatus.CONFLICT, request);
    }

    /** The store is late or has no room: said plainly, so that somebody sees to it; the outbox tries again. */
    @ExceptionHandler({NonTransientDataAccessException.class, UncategorizedDataAccessException.class})
    ResponseEntity<Object> store(DataAccessException e, WebRequest request) {
        return switch (Trouble.of(e)) {
            case LATE, CROSSED -> storeAway(e, request);
            case FULL -> full(e, request);
            case OTHER -> unforeseen(e, request);
        };
    }

    private ResponseEntity<Object> full(Exception e, WebRequest request) {
        LOG.error("the store is full: {}", e.getMessage());
        ProblemDetail p = ProblemDetail.forStatusAndDetail(
                HttpStatus.INSUFFICIENT_STORAGE,
                "The store is full. Nothing was lost: what you did is kept here and sent again by itself once there is room. Tell the lead: the"
                        + " disk of the server needs room.");
        p.setTitle("Store is full");
        return createResponseEntity(p, new HttpHeaders(), HttpStatus.INSUFFICIENT_STORAGE, request);
    }

    /** The database does not answer, or not in time: said plainly, so that the outbox tries again. */
    @ExceptionHandler({
        DataAccessResourceFailureException.class,
        TransientDataAccessException.class,
        CannotCreateTransactionException.class
    })
    ResponseEntity<Object> storeAway(Exception e, WebRequest request) {
        LOG.warn("store does not answer: {}", e.getMessage());
        ProblemDetail p = ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The store does not answer. Nothing was lost; what you did is kept here and sent again by itself.");
        p.setTitle("Store does not answer");
        return createResponseEntity(p, new HttpHeaders(), HttpStatus.SERVICE_UNAVAILABLE, request);
    }

    @ExceptionHandler
    ResponseEntity<Object> unforeseen(RuntimeException e, WebRequest request) {
        String mark = UUID.randomUUID().toString().substring(0, 8);
        LOG.error("unforeseen, mark {}", mark, e);
        ProblemDetail p = ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here that should not have. What you typed is kept; try again. Mark " + mark
                        + ".");
        p.setTitle("Unforeseen");
        return createResponseEntity(p, new HttpHeaders(), HttpStatus.INTERNAL_SERVER_ERROR, request);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail p = ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "This cannot be read as JSON.");
        p.setTitle("Not readable");
        if (e.getCause() instanceof JacksonException j) {
            StringBuilder field = new StringBuilder();
            j.getPath().forEach(r -> {
                if (r.getPropertyName() == null) {
                    field.append('[').append(r.getIndex()).append(']');
                } else {
                    field.append(field.isEmpty() ? "" : ".").append(r.getPropertyName());
                }
            });
            p.setProperty("field", field.toString());
            if (j instanceof UnrecognizedPropertyException u) {
                String known = u.getKnownPropertyIds().stream()
                        .map(String::valueOf)
                        .sorted()
                        .collect(Collectors.joining(", "));
                p.setProperty("given", u.getPropertyName());
                p.setProperty("expected", "one of " + known);
                p.setDetail("“" + u.getPropertyName() + "” is no field here: expected one of " + known + ".");
            }
            if (j instanceof InvalidNullException) {
                p.setProperty("given", "null");
                p.setProperty("expected", "something in every place of the list");
                p.setDetail("A place in the list " + field + " is empty (null): leave it out.");
            }
            if (j instanceof InvalidFormatException f) {
                String expected = f.getTargetType().isEnum()
                        ? "one of " + String.join(", ", names(f.getTargetType()))
                        : word(f.getTargetType());
                p.setProperty("given", String.valueOf(f.getValue()));
                p.setProperty("expected", expected);
                p.setDetail("“" + f.getValue() + "” in " + field + " cannot be taken: expected " + expected + ".");
            }
        }
        return createResponseEntity(p, headers, HttpStatus.BAD_REQUEST, request);
    }

    /** What a field takes, in plain words. */
    private static String word(Class<?> type) {
        if (Number.class.isAssignableFrom(type) || type.isPrimitive() && type != boolean.class) {
            return "a number";
        }
        if (type == Boolean.class || type == boolean.class) {
            return "true or false";
        }
        if (Temporal.class.isAssignableFrom(type)) {
            return "a day or a time, such as 2026-11-24T08:00:00Z";
        }
        return type == UUID.class ? "a UUID" : "a text";
    }

    private static String[] names(Class<?> type) {
        Object[] all = type.getEnumConstants();
        String[] out = new String[all.length];
        for (int i = 0; i < all.length; i++) {
            out[i] = ((Enum<?>) all[i]).name();
        }
        return out;
    }
}
