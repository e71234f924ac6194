package org.oblume.server.support;

import com.fasterxml.jackson.databind.cfg.CoercionAction;
import com.fasterxml.jackson.databind.cfg.CoercionInputShape;
import com.fasterxml.jackson.databind.type.LogicalType;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.jackson.Jackson2ObjectMapperBuilderCustomizer;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.context.WebServerApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.EnableScheduling;

@EnableScheduling
@Configuration(proxyBeanMethods = false)
class SupportConfiguration {

    private static final Logger LOG = LoggerFactory.getLogger("org.oblume");

    /** Milliseconds are what the record keeps, so that a value reads back as it was written. */
    @Bean
    Clock clock() {
        return Clock.tick(Clock.systemUTC(), Duration.ofMillis(1));
    }

    /** A number is not a text, and half a sheet is not a sheet: nothing of a request is bent into another kind. */
    @Bean
    Jackson2ObjectMapperBuilderCustomizer noCoercion() {
        return builder -> builder.postConfigurer(mapper -> {
            for (CoercionInputShape shape :
                    List.of(CoercionInputShape.Integer, CoercionInputShape.Float, CoercionInputShape.Boolean)) {
                mapper.coercionConfigFor(LogicalType.Textual).setCoercion(shape, CoercionAction.Fail);
            }
            mapper.coercionConfigFor(LogicalType.Integer).setCoercion(CoercionInputShape.Float, CoercionAction.Fail);
        });
    }

    @EventListener
    void logAddress(ApplicationReadyEvent ready) {
        if (ready.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            boolean https =
                    ready.getApplicationContext().getEnvironment().getProperty("oblume.https", Boolean.class, false);
            LOG.info(
                    "Oblume is ready: {}://localhost:{}/",
                    https ? "https" : "http",
                    web.getWebServer().getPort());
        }
    }
}
