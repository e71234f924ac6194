package org.oblume.server.idempotency;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.security.Principal;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.PayloadTooLargeException;
import org.oblume.server.support.ProblemType;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * A call that bears a key of its own is done once, however often a device sends it that never heard the answer: sent again it is
 * answered as it was the first time.
 */
@Component
@Order(20)
class IdempotencyFilter extends OncePerRequestFilter {

    static final String KEY = "Idempotency-Key";
    /** When a call was answered, by the server's clock, milliseconds since 1970: what a copy holds that was begun after it. */
    static final String ANSWERED = "Oblume-Answered";

    private static final Logger LOG = LoggerFactory.getLogger(IdempotencyFilter.class);
    private static final int LONGEST_KEY = 60;
    private static final int LARGEST_BODY_MB = 16;
    private final IdempotencyKeys keys;
    private final Clock clock;

    IdempotencyFilter(IdempotencyKeys keys, Clock clock) {
        this.keys = keys;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getHeader(KEY) == null || request.getUserPrincipal() == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Principal person = request.getUserPrincipal();
        String key = request.getHeader(KEY);
        if (key.isBlank() || key.length() > LONGEST_KEY) {
            ProblemType.UNREADABLE.answer(
                    response, "An Idempotency-Key has 1 to %d characters.".formatted(LONGEST_KEY));
            return;
        }
        KeyedCall call = new KeyedCall(
                person.getName() + " " + key, person.getName(), request.getMethod() + " " + request.getRequestURI());
        BufferedRequest whole;
        try {
            whole = new BufferedRequest(request);
        } catch (PayloadTooLargeException tooLarge) {
            ProblemType.TOO_LARGE.answer(response, String.valueOf(tooLarge.getMessage()));
            return;
        }
        Optional<IdempotencyKeyEntity> before = keys.find(call);
        if (before.isPresent()) {
            answerAgain(before.get(), call, response);
            return;
        }
        whole.setAttribute(KeyedCall.ATTRIBUTE, call);
        ContentCachingResponseWrapper answer = new ContentCachingResponseWrapper(response);
        chain.doFilter(whole, answer);
        if (answer.getStatus() < HttpServletResponse.SC_BAD_REQUEST) {
            keep(call, answer);
        }
        response.setHeader(ANSWERED, Long.toString(clock.millis()));
        answer.copyBodyToResponse();
    }

    /** What was done stays done without it; it is answered with less then, should it be sent again. */
    private void keep(KeyedCall call, ContentCachingResponseWrapper answer) {
        try {
            keys.keepAnswer(
                    call,
                    new KeptAnswer(
                            answer.getStatus(),
                            answer.getContentType(),
                            answer.getHeader(HttpHeaders.ETAG),
                            answer.getContentAsByteArray()));
        } catch (DataAccessException | TransactionException notKept) {
            LOG.warn("The answer to {} could not be kept.", call.what(), notKept);
        }
    }

    private void answerAgain(IdempotencyKeyEntity before, KeyedCall call, HttpServletResponse response)
            throws IOException {
        if (before.call() != null && !call.what().equals(before.call())) {
            ProblemType.REFUSED.answer(response, "This Idempotency-Key was used for another call: give each its own.");
            return;
        }
        response.setHeader(ANSWERED, Long.toString(clock.millis()));
        KeptAnswer answer = before.answer();
        if (answer == null || answer.body().length == 0) {
            response.setStatus(HttpStatus.NO_CONTENT.value());
            return;
        }
        response.setStatus(answer.status());
        response.setContentType(answer.contentType());
        if (answer.etag() != null) {
            response.setHeader(HttpHeaders.ETAG, answer.etag());
        }
        response.getOutputStream().write(answer.body());
    }

    /** A request whose body was read to its end: nothing waits for the rest of it any more. */
    private static final class BufferedRequest extends HttpServletRequestWrapper {

        private final byte[] body;

        BufferedRequest(HttpServletRequest request) throws IOException {
            super(request);
            body = PayloadTooLargeException.read(
                    request.getInputStream(), LARGEST_BODY_MB, "That is more than %d MB: send less at once.");
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream in = new ByteArrayInputStream(body);
            return new ServletInputStream() {
                @Override
                public int read() {
                    return in.read();
                }

                @Override
                public int read(byte[] into, int from, int length) {
                    return in.read(into, from, length);
                }

                @Override
                public boolean isFinished() {
                    return in.available() == 0;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(@Nullable ReadListener listener) {
                    throw new IllegalStateException("The body was read already.");
                }
            };
        }
    }
}
