package org.oblume.server.support;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import java.util.Arrays;
import java.util.concurrent.ThreadLocalRandom;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AuthenticationCredentialsNotFoundException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Errors as RFC 9457 problem details: {@code detail} is a sentence for the crew, {@code field} names the input. */
@RestControllerAdvice
class ProblemDetailsAdvice extends ResponseEntityExceptionHandler {

    private static final long NUMBERS = 36L * 36 * 36 * 36 * 36 * 36;
    private static final int NUMBER_RADIX = 36;
    private static final Logger LOG = LoggerFactory.getLogger(ProblemDetailsAdvice.class);
    private static final String AGAIN_AFTER_S = "2";

    @ExceptionHandler
    ProblemDetail refused(Refusal refusal, WebRequest request) {
        return ProblemType.REFUSED.saying(units(request).print(refusal.phrase()), refusal.field());
    }

    @ExceptionHandler
    ProblemDetail notThere(NotFoundException missing) {
        return ProblemType.NOT_FOUND.saying(said(missing));
    }

    @ExceptionHandler
    ProblemDetail notSignedIn(AuthenticationCredentialsNotFoundException nobody) {
        return ProblemType.NOT_SIGNED_IN.saying(said(nobody));
    }

    @ExceptionHandler
    ProblemDetail notAllowed(AccessDeniedException denied) {
        return ProblemType.NOT_ALLOWED.saying(said(denied));
    }

    @ExceptionHandler
    ProblemDetail preconditionMissing(PreconditionRequiredException missing) {
        return ProblemType.VERSION_NEEDED.saying(said(missing), HttpHeaders.IF_MATCH);
    }

    @ExceptionHandler
    ProblemDetail tooLarge(PayloadTooLargeException tooLarge) {
        return ProblemType.TOO_LARGE.saying(said(tooLarge));
    }

    @ExceptionHandler
    ProblemDetail stale(EditConflict stale) {
        ProblemDetail problem = ProblemType.CONFLICT.saying(said(stale));
        if (stale.current() != null) {
            problem.setProperty("conflict", stale.current());
        }
        return problem;
    }

    /** Two writes met in the same instant; nothing of this one was kept. */
    @ExceptionHandler({ObjectOptimisticLockingFailureException.class, DataIntegrityViolationException.class})
    ProblemDetail metAnother(Exception collision) {
        return ProblemType.COLLISION.saying(
                "Someone else changed the same thing at the same moment. Nothing of yours was kept: look and try again.");
    }

    /** Something holds what this call needs; a device that keeps its edits sends it again by itself. */
    @ExceptionHandler({
        PessimisticLockingFailureException.class,
        QueryTimeoutException.class,
        CannotCreateTransactionException.class,
        BusyException.class
    })
    ResponseEntity<ProblemDetail> busy(Exception waited) throws Exception {
        if (ClosedDatabase.isCauseOf(waited)) {
            throw waited;
        }
        LOG.warn("A call was told to come again: {}", waited.getMessage());
        return ResponseEntity.status(ProblemType.BUSY.status())
                .header(HttpHeaders.RETRY_AFTER, AGAIN_AFTER_S)
                .body(ProblemType.BUSY.saying(
                        "The server is busy with this. Nothing of yours was kept yet: try again in a moment."));
    }

    /** What nobody thought of. Its number leads from what the person saw to the log. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> failed(Exception unexpected, WebRequest request) throws Exception {
        if (ClosedDatabase.isCauseOf(unexpected)) {
            throw unexpected; // told further out, where the database is opened again
        }
        if (NoConnection.isCauseOf(unexpected)) {
            return busy(unexpected);
        }
        String number = Long.toString(ThreadLocalRandom.current().nextLong(NUMBERS), NUMBER_RADIX);
        LOG.error("Failure {} at {}", number, request.getDescription(false), unexpected);
        return ResponseEntity.status(ProblemType.FAILED.status())
                .body(ProblemType.FAILED.saying(
                        "The server failed at this (failure %s in its log). Load the page again to see what is kept, then try once more."
                                .formatted(number)));
    }

    private static String said(Exception sentence) {
        return String.valueOf(sentence.getMessage());
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        return ResponseEntity.badRequest().body(ofUnreadable(unreadable.getCause(), units(request)));
    }

    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException mismatch, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.badRequest()
                .body(ProblemType.UNREADABLE.saying(
                        "“%s” is not known here: check the address.".formatted(mismatch.getValue()),
                        mismatch.getPropertyName()));
    }

    @Override
    protected ResponseEntity<Object> handleNoResourceFoundException(
            NoResourceFoundException missing, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        return ResponseEntity.status(status)
                .body(ProblemType.NOT_FOUND.saying("There is nothing at this address: check it."));
    }

    /** What Spring refuses by itself: a method or a kind of content that an address does not take, a part that is missing. */
    @Override
    protected @Nullable ResponseEntity<Object> handleExceptionInternal(
            Exception refused, @Nullable Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemType type = status.value() == HttpStatus.BAD_REQUEST.value()
                ? ProblemType.UNREADABLE
                : status.is4xxClientError() ? ProblemType.NOT_SUPPORTED : ProblemType.FAILED;
        String sentence = body instanceof ProblemDetail problem && problem.getDetail() != null
                ? problem.getDetail()
                : "This cannot be done here (%d).".formatted(status.value());
        ProblemDetail problem = type.saying(sentence);
        problem.setStatus(status.value());
        return super.handleExceptionInternal(refused, problem, headers, status, request);
    }

    private static CrewUnits units(WebRequest request) {
        return CrewUnits.of(request.getHeader(CrewUnits.HEADER));
    }

    private static ProblemDetail ofUnreadable(@Nullable Throwable cause, CrewUnits units) {
        for (Throwable at = cause; at != null; at = at.getCause()) {
            if (at instanceof Refusal refusal) {
                return ProblemType.REFUSED.saying(
                        units.print(refusal.phrase()), refusal.field() == null ? pathOf(cause) : refusal.field());
            }
        }
        if (cause instanceof UnrecognizedPropertyException unknown) {
            return ProblemType.UNREADABLE.saying(
                    "“%s” is not a field here. Known: %s."
                            .formatted(
                                    unknown.getPropertyName(),
                                    unknown.getKnownPropertyIds().stream()
                                            .map(String::valueOf)
                                            .sorted()
                                            .collect(Collectors.joining(", "))),
                    unknown.getPropertyName());
        }
        if (cause instanceof JsonMappingException mapping) {
            String path = pathOf(mapping);
            if (mapping instanceof InvalidFormatException wrong
                    && wrong.getTargetType().isEnum()
                    && path != null) {
                return ProblemType.UNREADABLE.saying(
                        "“%s” is not known for “%s”: give one of %s."
                                .formatted(
                                        wrong.getValue(),
                                        path,
                                        Arrays.stream(wrong.getTargetType().getEnumConstants())
                                                .map(String::valueOf)
                                                .collect(Collectors.joining(", "))),
                        path);
            }
            return ProblemType.UNREADABLE.saying(
                    path == null
                            ? "The request is not of the shape that is needed here."
                            : "“%s” is missing or not of the kind that is needed.".formatted(path),
                    path);
        }
        if (cause instanceof JsonProcessingException broken) {
            return ProblemType.UNREADABLE.saying(
                    "This is not JSON that can be read%s."
                            .formatted(
                                    broken.getLocation() == null
                                            ? ""
                                            : ", from line "
                                                    + broken.getLocation().getLineNr()),
                    null);
        }
        return ProblemType.UNREADABLE.saying("The request has no body that can be read.", null);
    }

    private static @Nullable String pathOf(@Nullable Throwable cause) {
        if (!(cause instanceof JsonMappingException mapping)
                || mapping.getPath().isEmpty()) {
            return null;
        }
        return mapping.getPath().stream()
                .map(r -> r.getFieldName() == null ? "[" + r.getIndex() + "]" : r.getFieldName())
                .collect(Collectors.joining("."))
                .replaceFirst("(\\.\\[\\d+])+$", "");
    }
}
