package org.oblume.server.support;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.json.Jackson2ObjectMapperBuilder;

/** The kinds of refusal that a call can be answered with (RFC 9457 {@code type}); {@code detail} is the sentence for the crew. */
public enum ProblemType {
    REFUSED(HttpStatus.BAD_REQUEST, "A rule does not allow it; field names the input"),
    UNREADABLE(HttpStatus.BAD_REQUEST, "The request is not of the shape that is needed; field names the part"),
    NOT_SIGNED_IN(HttpStatus.UNAUTHORIZED, "Nobody is signed in"),
    NOT_ALLOWED(HttpStatus.FORBIDDEN, "The person may not do this"),
    PASS_CHANGED(HttpStatus.FORBIDDEN, "The device's pass for edits is an old one: reload"),
    NOT_FOUND(HttpStatus.NOT_FOUND, "It is not there, or not any more"),
    NOT_SUPPORTED(HttpStatus.METHOD_NOT_ALLOWED, "The address does not take this method or this kind of content"),
    CONFLICT(HttpStatus.CONFLICT, "Made on a version that somebody changed since; conflict is what stands now"),
    RESTORED(HttpStatus.CONFLICT, "Made before the record was brought back from a copy: read it again"),
    COLLISION(HttpStatus.CONFLICT, "Two writes met in the same instant; nothing of this one was kept"),
    MISDIRECTED(HttpStatusCode.valueOf(421), "Oblume is not called that: use the address that it printed"),
    TOO_LARGE(HttpStatus.PAYLOAD_TOO_LARGE, "The body is larger than is taken here"),
    VERSION_NEEDED(HttpStatus.PRECONDITION_REQUIRED, "An edit has to say which version it was made on"),
    THROTTLED(HttpStatus.TOO_MANY_REQUESTS, "Too many tries: wait as long as Retry-After says"),
    FAILED(HttpStatus.INTERNAL_SERVER_ERROR, "The server failed; detail bears the number that its log has"),
    NO_ROOM(
            HttpStatus.SERVICE_UNAVAILABLE,
            "The disk takes nothing, because it is full or failed: send again after Retry-After"),
    BUSY(
            HttpStatus.SERVICE_UNAVAILABLE,
            "Nothing was kept because something else holds it: send again after Retry-After");

    private static final ObjectMapper JSON = Jackson2ObjectMapperBuilder.json().build();

    private final HttpStatusCode status;
    private final String title;

    ProblemType(HttpStatusCode status, String title) {
        this.status = status;
        this.title = title;
    }

    public HttpStatusCode status() {
        return status;
    }

    /** What it means, for whoever writes a client. */
    public String title() {
        return title;
    }

    public URI uri() {
        return URI.create(
                "urn:oblume:problem:" + name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }

    /** @param sentence for the crew: what is wrong and what to do */
    public ProblemDetail saying(String sentence) {
        return saying(sentence, null);
    }

    /** Answers with it, where no controller does: in a filter, or before one. */
    public void answer(HttpServletResponse response, String sentence) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        JSON.writeValue(response.getOutputStream(), saying(sentence));
    }

    /** @param field the input at fault, or null */
    public ProblemDetail saying(String sentence, @Nullable String field) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
        problem.setType(uri());
        problem.setTitle(title);
        if (field != null) {
            problem.setProperty("field", field);
        }
        return problem;
    }
}
