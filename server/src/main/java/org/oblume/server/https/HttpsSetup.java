package org.oblume.server.https;

import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.Map;
import org.oblume.server.support.Machine;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.MapPropertySource;

/** Before the server starts with {@code oblume.https}: its certificate. Where none can be made, it says so and speaks plain http. */
public final class HttpsSetup implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {

    static final String BUNDLE = "oblume";
    private static final String OF_BUNDLE = "spring.ssl.bundle.jks." + BUNDLE;

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent prepared) {
        var settings = prepared.getEnvironment();
        if (!settings.getProperty("oblume.https", Boolean.class, false)) {
            return;
        }
        Path folder = folder(settings.getRequiredProperty("oblume.data"));
        Map<String, Object> ssl;
        try {
            new Certificates(folder).prepare(Machine.names(), Machine.addresses(), Instant.now());
            ssl = Map.of(
                    OF_BUNDLE + ".keystore.location",
                    folder.resolve(Certificates.SERVER).toUri().toString(),
                    OF_BUNDLE + ".keystore.password",
                    Certificates.PASSWORD,
                    OF_BUNDLE + ".keystore.type",
                    "PKCS12",
                    OF_BUNDLE + ".reload-on-update",
                    true,
                    "server.ssl.bundle",
                    BUNDLE);
        } catch (GeneralSecurityException | IOException failed) {
            System.err.println(
                    "oblume: https could not be set up (%s). Oblume speaks plain http: who listens in can read along."
                            .formatted(failed.getMessage()));
            ssl = Map.of("oblume.https", false, "server.port", settings.getProperty("oblume.http-port", "8080"));
        }
        settings.getPropertySources().addFirst(new MapPropertySource("https", ssl));
    }

    static Path folder(String data) {
        return Path.of(data).toAbsolutePath().resolve("https");
    }
}
