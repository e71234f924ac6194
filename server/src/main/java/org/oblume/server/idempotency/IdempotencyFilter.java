package org.oblume.server.idempotency;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.Principal;
import java.time.Clock;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * A call that bears a key of its own is done once, however often a device sends it that never heard the answer: the key is kept
 * in the same transaction as what the call changed. Sent again it is answered with 204.
 */
@Component
@Order(20)
class IdempotencyFilter extends OncePerRequestFilter {

    static final String KEY = "Idempotency-Key";
    private static final int LONGEST_KEY = 60;
    private final IdempotencyKeyRepository done;
    private final TransactionTemplate transaction;
    private final Clock clock;

    IdempotencyFilter(IdempotencyKeyRepository done, TransactionTemplate transaction, Clock clock) {
        this.done = done;
        this.transaction = transaction;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String key = request.getHeader(KEY);
        return key == null || key.length() > LONGEST_KEY || request.getUserPrincipal() == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException {
        Principal person = request.getUserPrincipal();
        String id = person.getName() + " " + request.getHeader(KEY);
        ContentCachingResponseWrapper answer = new ContentCachingResponseWrapper(response);
        try {
            boolean again = Boolean.TRUE.equals(
                    transaction.execute(status -> attempt(id, person.getName(), request, answer, chain, status)));
            if (again) {
                response.setStatus(HttpStatus.NO_CONTENT.value());
                return;
            }
        } catch (DataIntegrityViolationException sentTwiceAtOnce) {
            response.setStatus(HttpStatus.NO_CONTENT.value());
            return;
        }
        answer.copyBodyToResponse();
    }

    /** @return whether it had been done before */
    private boolean attempt(
            String id,
            String person,
            HttpServletRequest request,
            HttpServletResponse answer,
            FilterChain chain,
            TransactionStatus status) {
        if (done.existsById(id)) {
            return true;
        }
        done.saveAndFlush(new IdempotencyKeyEntity(id, person, clock.instant()));
        try {
            chain.doFilter(request, answer);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (ServletException failed) {
            throw new IllegalStateException(failed);
        }
        if (answer.getStatus() >= HttpServletResponse.SC_BAD_REQUEST) {
            status.setRollbackOnly();
        }
        return false;
    }
}
