package org.oblume.server.production;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class ProductionService {

    private static final int LONGEST_NAME = 120;
    private static final int MOST_DAYS = 1000;
    private final ProductionRepository productions;

    ProductionService(ProductionRepository productions) {
        this.productions = productions;
    }

    @Transactional(readOnly = true)
    public List<Production> all() {
        return productions.findAllByOrderById().stream()
                .map(ProductionEntity::toProduction)
                .toList();
    }

    @Transactional(readOnly = true)
    public Production get(long id) {
        return entity(id).toProduction();
    }

    public Production create(String name, int days) {
        String checked = freeName(name);
        Checks.within("Shooting days", days, 1, MOST_DAYS, "");
        return productions.save(new ProductionEntity(checked, days)).toProduction();
    }

    /**
     * A name that no production bears yet.
     *
     * @throws Refusal when it is too long, or one does
     */
    @Transactional(readOnly = true)
    public String freeName(String name) {
        String checked = Checks.text("The production's name", name, LONGEST_NAME);
        if (productions.findByName(checked).isPresent()) {
            throw new Refusal(
                    "name", "There is a production called %s already: choose another name.".formatted(checked));
        }
        return checked;
    }

    /** The crew's table of times as it was kept, or null. */
    @Transactional(readOnly = true)
    public @Nullable String tempo(long id) {
        return entity(id).tempo();
    }

    public void keepTempo(long id, String table) {
        entity(id).setTempo(table);
    }

    /** How far the crew's lights and meters stray as it was kept, or null. */
    @Transactional(readOnly = true)
    public @Nullable String spread(long id) {
        return entity(id).spread();
    }

    public void keepSpread(long id, String strays) {
        entity(id).setSpread(strays);
    }

    private ProductionEntity entity(long id) {
        return productions
                .findById(id)
                .orElseThrow(() -> new NotFoundException("There is no such production any more."));
    }

    /**
     * The production of that name, which is made when there is none.
     *
     * @throws Refusal when it is closed
     */
    public Production named(String name, int days) {
        Production named =
                productions.findByName(name).map(ProductionEntity::toProduction).orElseGet(() -> create(name, days));
        if (named.closedAt() != null) {
            throw new Refusal("%s is closed: it takes no new scene. A lead opens it again.".formatted(name));
        }
        return named;
    }
}
