package org.oblume.server.https;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Clock;
import org.apache.catalina.connector.Connector;
import org.oblume.server.support.Machine;
import org.oblume.server.support.QrCode;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * With https, the short address that people type still speaks http: it shows how a device comes to trust this server, and leads on. Nothing
 * of the record goes over it.
 */
@Configuration(proxyBeanMethods = false)
@ConditionalOnProperty(name = "oblume.https", havingValue = "true")
class PlainHttp {

    private static final Logger LOG = LoggerFactory.getLogger(PlainHttp.class);

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainConnector(
            @Value("${oblume.http-port}") int port, @Value("${server.address}") InetAddress address) {
        return factory -> {
            Connector plain = new Connector();
            plain.setPort(port);
            plain.setProperty("address", address.getHostAddress());
            factory.addAdditionalTomcatConnectors(plain);
        };
    }

    @Bean
    Renewal renewal(@Value("${oblume.data}") String data, Clock clock) {
        return new Renewal(HttpsSetup.folder(data), clock);
    }

    @Bean
    LeadOn leadOn(@Value("${oblume.data}") String data, @Value("${server.port}") int port) {
        return new LeadOn(HttpsSetup.folder(data), port);
    }

    /** A server that runs for weeks, or on another network since. */
    static final class Renewal {

        private final Path folder;
        private final Clock clock;

        Renewal(Path folder, Clock clock) {
            this.folder = folder;
            this.clock = clock;
        }

        @Scheduled(fixedDelayString = "PT10M", initialDelayString = "PT10M")
        void renew() {
            try {
                if (new Certificates(folder).prepare(Machine.names(), Machine.addresses(), clock.instant())) {
                    LOG.info("The certificate was made anew, for the addresses of now.");
                }
            } catch (GeneralSecurityException | IOException failed) {
                LOG.warn("The certificate could not be renewed: {}", failed.getMessage());
            }
        }
    }

    @Order(Ordered.HIGHEST_PRECEDENCE)
    static final class LeadOn extends OncePerRequestFilter {

        private final Path folder;
        private final int port;

        LeadOn(Path folder, int port) {
            this.folder = folder;
            this.port = port;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            String path = request.getRequestURI();
            if (path.equals("/trust/" + Certificates.AUTHORITY)) {
                response.setContentType("application/x-x509-ca-cert");
                response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"oblume.crt\"");
                response.getOutputStream().write(Files.readAllBytes(folder.resolve(Certificates.AUTHORITY)));
            } else if (path.equals("/trust") || (path.equals("/") && !request.isSecure())) {
                page(request.getServerName(), response);
            } else if (path.equals("/trust/page.css")) {
                response.setContentType("text/css");
                response.getOutputStream().write(resource("trust.css"));
            } else if (request.isSecure()) {
                chain.doFilter(request, response);
            } else {
                response.setStatus(HttpStatus.PERMANENT_REDIRECT.value());
                String query = request.getQueryString();
                response.setHeader(
                        HttpHeaders.LOCATION,
                        "https://%s:%d%s%s"
                                .formatted(request.getServerName(), port, path, query == null ? "" : "?" + query));
            }
        }

        private void page(String host, HttpServletResponse response) throws IOException {
            String address = "https://%s:%d/".formatted(host, port);
            response.setContentType(MediaType.TEXT_HTML_VALUE);
            response.setCharacterEncoding(StandardCharsets.UTF_8.name());
            response.setHeader(
                    "Content-Security-Policy", "default-src 'none'; style-src 'self'; frame-ancestors 'none'");
            response.getWriter()
                    .write(new String(resource("trust.html"), StandardCharsets.UTF_8)
                            .replace("{address}", address)
                            .replace("{qr}", qr(address)));
        }

        private static byte[] resource(String name) throws IOException {
            try (InputStream in = new ClassPathResource("https/" + name).getInputStream()) {
                return in.readAllBytes();
            }
        }

        /** As an SVG, a unit for a module. */
        private static String qr(String address) {
            QrCode code = QrCode.of(address);
            return "<svg viewBox=\"-4 -4 %1$d %1$d\" role=\"img\" aria-label=\"The address as a code\"><path d=\"%2$s\"/></svg>"
                    .formatted(code.size() + 8, code.path());
        }
    }
}
