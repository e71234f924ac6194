package org.oblume.server.patch;

import java.util.List;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The nodes of the demo production, once its scenes are in. */
@Component
@Profile("demo")
@Order(Ordered.LOWEST_PRECEDENCE)
class DemoNodes implements ApplicationRunner {

    private static final String MASK = "255.255.255.0";
    private final ProductionService productions;
    private final NodeService nodes;

    DemoNodes(ProductionService productions, NodeService nodes) {
        this.productions = productions;
        this.nodes = nodes;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        for (Production production : productions.all()) {
            if (production.name().equals("Saltmarsh Line")
                    && nodes.of(production.id()).isEmpty()) {
                nodes.add(
                        production.id(),
                        new PatchPage.NodeCard("Cart node", "10.0.0.21", MASK, "10.0.0.1", List.of(1, 2)));
                nodes.add(
                        production.id(),
                        new PatchPage.NodeCard("Grid node", "10.0.0.22", MASK, "10.0.0.1", List.of(3, 4)));
            }
        }
    }
}
