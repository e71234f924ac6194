package org.oblume.server.support;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * By what this Oblume is called. A name that somebody else gave this machine is refused: a page of another site could otherwise read the
 * record under it, and codes on paper would lead there. Addresses are never anybody else's names.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
public class KnownHosts extends OncePerRequestFilter {

    private static final String ADDRESS = "\\d{1,3}(\\.\\d{1,3}){3}|\\[[0-9a-f:.]+]|[0-9a-f]*:[0-9a-f:.]+";

    private final List<String> named;
    private final InetAddress listens;
    private final boolean https;
    private final int httpPort;

    KnownHosts(
            @Value("${oblume.hosts}") List<String> named,
            @Value("${server.address}") InetAddress listens,
            @Value("${oblume.https}") boolean https,
            @Value("${oblume.http-port}") int httpPort) {
        this.named = named;
        this.listens = listens;
        this.https = https;
        this.httpPort = httpPort;
    }

    boolean isKnown(String host) {
        String name = host.toLowerCase(Locale.ROOT);
        return name.matches(ADDRESS)
                || name.equals("localhost")
                || name.endsWith(".local")
                || Machine.names().contains(name)
                || named.contains(name);
    }

    /**
     * The address of this Oblume that others on its network can open, such as {@code http://10.0.0.5:8080}: as it was called now, or, when it was
     * called by a name that only this machine knows, its address on a private network.
     *
     * @return empty when it listens on this machine only
     */
    public Optional<String> reachable() {
        String host = String.valueOf(
                ServletUriComponentsBuilder.fromCurrentContextPath().build().getHost());
        if (!isLoopback(host)) {
            return Optional.of(at(host));
        }
        return listens.isLoopbackAddress()
                ? Optional.empty()
                : Machine.addresses().stream()
                        .filter(InetAddress::isSiteLocalAddress)
                        .findFirst()
                        .map(address -> at(address.getHostAddress()));
    }

    /** The short address that people type: with https the plain one, which shows how a device trusts this server, and leads on. */
    public Optional<String> typed() {
        return reachable()
                .map(address -> https
                        ? UriComponentsBuilder.fromUriString(address)
                                .scheme("http")
                                .port(httpPort)
                                .toUriString()
                        : address);
    }

    public boolean isHttps() {
        return https;
    }

    private static String at(String host) {
        return ServletUriComponentsBuilder.fromCurrentContextPath()
                .host(host)
                .build()
                .toUriString();
    }

    private static boolean isLoopback(String host) {
        return host.equals("localhost") || host.startsWith("127.") || host.equals("[::1]") || host.equals("::1");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String host = request.getServerName();
        if (host == null || isKnown(host)) {
            chain.doFilter(request, response);
            return;
        }
        ProblemType.MISDIRECTED.answer(
                response,
                "Oblume is not called that here: open it by the address that it printed when it was started.");
    }
}
