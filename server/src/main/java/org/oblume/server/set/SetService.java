package org.oblume.server.set;

import java.util.List;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class SetService {

    private static final int LONGEST_NAME = 120;
    private final SetRepository sets;
    private final RecordJson json;

    SetService(SetRepository sets, RecordJson json) {
        this.sets = sets;
        this.json = json;
    }

    /** @throws NotFoundException when there is none */
    @Transactional(readOnly = true)
    public DrawnSet get(long id) {
        return drawn(entity(id));
    }

    @Transactional(readOnly = true)
    public List<DrawnSet> ofProduction(long productionId) {
        return sets.findByProductionIdOrderByName(productionId).stream()
                .map(this::drawn)
                .toList();
    }

    /**
     * Draws a set anew, for every scene that is lit in it.
     *
     * @throws EditConflict with the set as it stands, when somebody drew on it since that version
     */
    public DrawnSet draw(long id, StageSet set, long version) {
        SetEntity entity = entity(id);
        if (entity.version() != version) {
            throw new EditConflict(
                    "Someone drew on %s since you opened it. Nothing of yours was kept yet.".formatted(entity.name()),
                    drawn(entity));
        }
        entity.draw(Checks.text("The set's name", set.name(), LONGEST_NAME), json.write(set.plan()));
        return drawn(sets.saveAndFlush(entity));
    }

    /**
     * Keeps a new set.
     *
     * @throws Refusal when the production has one of that name
     */
    public long start(long productionId, StageSet set) {
        String name = Checks.text("The set's name", set.name(), LONGEST_NAME);
        if (sets.findByProductionIdOrderByName(productionId).stream()
                .anyMatch(s -> s.name().equalsIgnoreCase(name))) {
            throw new Refusal(
                    "name", "The production has a set called %s: give this one another name.".formatted(name));
        }
        return keep(productionId, new StageSet(name, set.plan()));
    }

    /** The id of this very set in the production; one that is not there yet is kept. */
    public long keep(long productionId, StageSet set) {
        String name = Checks.text("The set's name", set.name(), LONGEST_NAME);
        String plan = json.write(set.plan());
        return sets.findFirstByProductionIdAndNameAndPlan(productionId, name, plan)
                .orElseGet(() -> sets.save(new SetEntity(productionId, name, plan)))
                .id();
    }

    private SetEntity entity(long id) {
        return sets.findById(id).orElseThrow(() -> new NotFoundException("There is no such set."));
    }

    private DrawnSet drawn(SetEntity set) {
        return new DrawnSet(
                set.id(),
                set.productionId(),
                set.version(),
                new StageSet(set.name(), json.read(set.plan(), SetPlan.class)));
    }
}
