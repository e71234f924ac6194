package org.oblume.server.copies;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.oblume.server.support.ProblemType;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Tells each device which stretch of the record it talks to, and refuses an edit that was made on a version of another one: the same
 * number means something else since a copy was restored. The device then compares by value and sends it anew.
 */
@Component
@Order(10)
class EpochFilter extends OncePerRequestFilter {

    static final String EPOCH = "Oblume-Epoch";

    private final Epoch epoch;

    EpochFilter(Epoch epoch) {
        this.epoch = epoch;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(EPOCH, epoch.id());
        String theirs = request.getHeader(EPOCH);
        if (theirs != null && !theirs.equals(epoch.id()) && request.getHeader(HttpHeaders.IF_MATCH) != null) {
            ProblemType.RESTORED.answer(
                    response,
                    "The record was brought back from a copy since you read this. Look again, then change it.");
            return;
        }
        chain.doFilter(request, response);
    }
}
