package org.oblume.server.storage;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.oblume.server.support.ClosedDatabase;
import org.oblume.server.support.NoConnection;
import org.oblume.server.support.ProblemType;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What a person is told when the disk or the database does not take or give what was asked: that it is so, and what to do. A database that
 * closed itself because a write failed is opened again, see {@link RecordFile#reopenWhenClosed}.
 */
@Order(Ordered.HIGHEST_PRECEDENCE)
@RestControllerAdvice
class StoredProblems {

    private static final Logger LOG = LoggerFactory.getLogger(StoredProblems.class);
    private static final String AGAIN_AFTER_S = "10";

    @ExceptionHandler
    ResponseEntity<ProblemDetail> full(DiskFullException full) {
        return later(ProblemType.NO_ROOM, String.valueOf(full.getMessage()));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> notOnDisk(NotOnDiskException failed) {
        LOG.error("The disk did not take an edit.", failed);
        return later(
                ProblemType.NO_ROOM,
                "The disk did not take what was written: see that it has room and is whole. It is sent again by itself until it is kept.");
    }

    private static ResponseEntity<ProblemDetail> later(ProblemType type, String sentence) {
        return ResponseEntity.status(type.status())
                .header(HttpHeaders.RETRY_AFTER, AGAIN_AFTER_S)
                .body(type.saying(sentence));
    }

    /** The database is read before a controller is reached, for the session. */
    @Component
    @Order(Ordered.HIGHEST_PRECEDENCE)
    static class Outermost extends OncePerRequestFilter {

        private final RecordFile file;

        Outermost(RecordFile file) {
            this.file = file;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            try {
                chain.doFilter(request, response);
            } catch (RuntimeException | ServletException failed) {
                boolean closed = ClosedDatabase.isCauseOf(failed);
                if (response.isCommitted() || (!closed && !NoConnection.isCauseOf(failed))) {
                    throw failed;
                }
                LOG.warn("The database does not answer: {}", said(failed));
                response.reset();
                response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_AFTER_S);
                if (closed) {
                    file.reopenWhenClosed();
                    ProblemType.NO_ROOM.answer(
                            response,
                            "The record cannot be read at the moment, because its disk failed or is full: make room on the server’s machine. It opens again by itself.");
                } else {
                    ProblemType.BUSY.answer(
                            response,
                            "More is asked of the server than it can answer just now: try again in a moment.");
                }
            }
        }

        private static @Nullable String said(Throwable failed) {
            Throwable last = failed;
            while (last.getCause() != null) {
                last = last.getCause();
            }
            return last.getMessage();
        }
    }
}
