package org.oblume.server.support;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Whoever asks for a great deal at once, on however many devices, waits for themselves: the others of the crew do not. */
@Component
@Order(5)
class FairShareFilter extends OncePerRequestFilter {

    /** A browser asks for six things at once. */
    private static final int AT_ONCE = 6;

    private static final long LONGEST_WAIT_S = 30;
    private static final String STREAM = "/api/live";

    private final Map<String, Semaphore> people = new ConcurrentHashMap<>();

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getUserPrincipal() == null || request.getRequestURI().equals(STREAM);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Principal person = request.getUserPrincipal();
        Semaphore share = people.computeIfAbsent(person.getName(), name -> new Semaphore(AT_ONCE, true));
        if (!taken(share)) {
            response.setHeader(HttpHeaders.RETRY_AFTER, "5");
            ProblemType.THROTTLED.answer(
                    response, "Too much was asked for at once in your name. Wait a moment, then try again.");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            share.release();
        }
    }

    private static boolean taken(Semaphore share) {
        try {
            return share.tryAcquire(LONGEST_WAIT_S, TimeUnit.SECONDS);
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
