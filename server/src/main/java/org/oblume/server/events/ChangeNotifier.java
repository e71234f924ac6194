package org.oblume.server.events;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Tells every open stream of each call that changed something, once it is kept. */
@Component
@Order(10)
class ChangeNotifier extends OncePerRequestFilter {

    /** Request header with the name of the device that calls. */
    static final String DEVICE = "Oblume-Device";

    private static final Set<String> ONLY_ASK =
            Set.of("light", "say", "arrange", "paces", "underlay", "beam", "fit", "tapes", "read", "agree", "plan");
    private final EventStreams hub;

    ChangeNotifier(EventStreams hub) {
        this.hub = hub;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean read = HttpMethod.GET.matches(request.getMethod()) || HttpMethod.HEAD.matches(request.getMethod());
        boolean ours = path.startsWith("/api/")
                && !path.startsWith("/api/bench/")
                && !path.startsWith("/api/live/")
                && !path.startsWith("/api/session");
        return read || !ours || ONLY_ASK.contains(path.substring(path.lastIndexOf('/') + 1));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(request, response);
        Principal person = request.getUserPrincipal();
        if (response.getStatus() < HttpServletResponse.SC_BAD_REQUEST && person != null) {
            String device = request.getHeader(DEVICE);
            hub.changed(request.getRequestURI(), person.getName(), device == null ? "" : device);
        }
    }
}
