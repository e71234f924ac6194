package org.oblume.server.support;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors as RFC 9457 problem details: {@code detail} is a sentence for the crew, {@code field} names the input. */
@RestControllerAdvice
class ProblemDetailsAdvice extends ResponseEntityExceptionHandler {

    @ExceptionHandler
    ProblemDetail refused(Refusal refusal, WebRequest request) {
        return problem(HttpStatus.BAD_REQUEST, units(request).print(refusal.phrase()), refusal.field());
    }

    @ExceptionHandler
    ProblemDetail notThere(NotFoundException missing) {
        return problem(HttpStatus.NOT_FOUND, String.valueOf(missing.getMessage()), null);
    }

    @ExceptionHandler
    ProblemDetail preconditionMissing(PreconditionRequiredException missing) {
        return problem(HttpStatus.PRECONDITION_REQUIRED, String.valueOf(missing.getMessage()), HttpHeaders.IF_MATCH);
    }

    @ExceptionHandler
    ProblemDetail tooLarge(PayloadTooLargeException tooLarge) {
        return problem(HttpStatus.PAYLOAD_TOO_LARGE, String.valueOf(tooLarge.getMessage()), null);
    }

    @ExceptionHandler
    ProblemDetail stale(EditConflict stale) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, String.valueOf(stale.getMessage()), null);
        problem.setProperty("conflict", stale.current());
        return problem;
    }

    /** Two writes met in the same instant; nothing of this one was kept. */
    @ExceptionHandler({ObjectOptimisticLockingFailureException.class, DataIntegrityViolationException.class})
    ProblemDetail metAnother(Exception collision) {
        return problem(
                HttpStatus.CONFLICT,
                "Someone else changed the same thing at the same moment. Nothing of yours was kept: look and try again.",
                null);
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
                .body(problem(
                        HttpStatus.BAD_REQUEST,
                        "“%s” is not known here: check the address.".formatted(mismatch.getValue()),
                        mismatch.getPropertyName()));
    }

    private static CrewUnits units(WebRequest request) {
        return CrewUnits.of(request.getHeader(CrewUnits.HEADER));
    }

    private static ProblemDetail ofUnreadable(@Nullable Throwable cause, CrewUnits units) {
        for (Throwable at = cause; at != null; at = at.getCause()) {
            if (at instanceof Refusal refusal) {
                return problem(
                        HttpStatus.BAD_REQUEST,
                        units.print(refusal.phrase()),
                        refusal.field() == null ? pathOf(cause) : refusal.field());
            }
        }
        if (cause instanceof UnrecognizedPropertyException unknown) {
            return problem(
                    HttpStatus.BAD_REQUEST,
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
                return problem(
                        HttpStatus.BAD_REQUEST,
                        "“%s” is not known for “%s”: give one of %s."
                                .formatted(
                                        wrong.getValue(),
                                        path,
                                        Arrays.stream(wrong.getTargetType().getEnumConstants())
                                                .map(String::valueOf)
                                                .collect(Collectors.joining(", "))),
                        path);
            }
            return problem(
                    HttpStatus.BAD_REQUEST,
                    path == null
                            ? "The request is not of the shape that is needed here."
                            : "“%s” is missing or not of the kind that is needed.".formatted(path),
                    path);
        }
        if (cause instanceof JsonProcessingException broken) {
            return problem(
                    HttpStatus.BAD_REQUEST,
                    "This is not JSON that can be read%s."
                            .formatted(
                                    broken.getLocation() == null
                                            ? ""
                                            : ", from line "
                                                    + broken.getLocation().getLineNr()),
                    null);
        }
        return problem(HttpStatus.BAD_REQUEST, "The request has no body that can be read.", null);
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

    private static ProblemDetail problem(HttpStatus status, String detail, @Nullable String field) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        if (field != null) {
            problem.setProperty("field", field);
        }
        return problem;
    }
}
