package org.oblume.server.exchange;

import java.io.IOException;
import org.oblume.server.production.ProductionService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;
import org.springframework.stereotype.Component;

/** Fills an empty demo database with the demo production, from files in the published format. */
@Component
@Profile("demo")
@Order(0)
class DemoScenes implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(DemoScenes.class);
    private final ProductionService productions;
    private final ExchangeService exchange;
    private final ResourcePatternResolver files;

    DemoScenes(ProductionService productions, ExchangeService exchange, ResourcePatternResolver files) {
        this.productions = productions;
        this.exchange = exchange;
        this.files = files;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (!productions.all().isEmpty()) {
            return;
        }
        for (Resource file : files.getResources("classpath:demo/*.json")) {
            exchange.load(file.getContentAsByteArray(), null, null);
        }
        for (Resource file : files.getResources("classpath:demo/sets/*.json")) {
            exchange.loadSet(file.getContentAsByteArray());
        }
        LOG.info("The demo production is in.");
    }
}
