package org.oblume.server.truck;

import java.util.Optional;
import org.oblume.core.filter.StockItem;
import org.oblume.core.kit.KitSize;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.rebuild.NamedStock;
import org.oblume.core.rebuild.NamedStock.Named;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.inventory.InventoryService;
import org.oblume.server.kit.KitService;
import org.oblume.server.rebuild.BuiltRun;
import org.oblume.server.rebuild.RebuildService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is named at a step of a rebuild, beside what is recorded there. */
@Service
@Transactional
class HungService {

    private static final int LONGEST = 80;
    private final RebuildService rebuild;
    private final InventoryService inventory;
    private final KitService kit;

    HungService(RebuildService rebuild, InventoryService inventory, KitService kit) {
        this.rebuild = rebuild;
        this.inventory = inventory;
        this.kit = kit;
    }

    NamedController.NamedAnswer named(long runId, String placement, String text, String author) {
        String said = Checks.text("What is hung", text, LONGEST);
        BuiltRun run = rebuild.asRecorded(runId, placement);
        Named named = find(run.record().scene().productionId(), said);
        NamedStock found = NamedStock.of(
                named,
                run.built().scene().placement(placement),
                run.built().state().value(placement, Modifiers.class).orElse(Modifiers.NONE),
                kit.stock());
        String called = named.unit() == null ? named.what() : "%s, %s".formatted(named.unit(), named.what());
        if (found.right()) {
            rebuild.hung(runId, placement, called, author);
        }
        return new NamedController.NamedAnswer(
                found.right(),
                called,
                found.sentence(),
                SubstituteController.settings(run.built().scene(), found.instead()));
    }

    private Named find(long productionId, String said) {
        Optional<Named> tagged = inventory.of(productionId).units().stream()
                .filter(u -> KitUnit.tagKey(u.tag()).equals(KitUnit.tagKey(said))
                        || u.name().equalsIgnoreCase(said))
                .findFirst()
                .map(u -> new Named(u.what(), u.name(), u.size()));
        return tagged.or(() -> kit.stock().stream()
                        .map(StockItem::name)
                        .filter(n -> n.equalsIgnoreCase(said))
                        .findFirst()
                        .map(n -> new Named(n, null, KitSize.NONE)))
                .or(() -> kit.fixtures().stream()
                        .map(f -> f.piece().what())
                        .filter(w -> w.equalsIgnoreCase(said))
                        .findFirst()
                        .map(w -> new Named(w, null, KitSize.NONE)))
                .orElseThrow(() -> new Refusal(
                        "named",
                        "Nothing of the kit is called “%s”: type the tag on its label, or the name of the cloth or filter."
                                .formatted(said)));
    }
}
