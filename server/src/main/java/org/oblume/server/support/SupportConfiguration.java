package org.oblume.server.support;

import java.time.Clock;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.context.WebServerApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;

@Configuration(proxyBeanMethods = false)
class SupportConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger("org.oblume");

    /** Milliseconds are what the record keeps, so that a value reads back as it was written. */
    @Bean
    Clock clock() {
        return Clock.tick(Clock.systemUTC(), Duration.ofMillis(1));
    }

    @EventListener
    void sayWhere(ApplicationReadyEvent ready) {
        if (ready.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            LOG.info("Oblume is ready: http://localhost:{}/", web.getWebServer().getPort());
        }
    }
}
