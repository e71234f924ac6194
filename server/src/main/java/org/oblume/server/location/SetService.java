package org.oblume.server.location;

import java.util.NoSuchElementException;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Checks;
import org.oblume.server.support.JsonText;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

@Service
@Transactional
public class SetService {

    private static final int LONGEST_NAME = 120;
    private final SetRepository sets;
    private final JsonText json;

    SetService(SetRepository sets, JsonText json) {
        this.sets = sets;
        this.json = json;
    }

    @Transactional(readOnly = true)
    public StageSet get(long id) {
        SetEntity set = sets.findById(id).orElseThrow(() -> new NoSuchElementException("There is no such set."));
        return new StageSet(set.name(), json.read(set.plan(), SetPlan.class));
    }

    /** The id of this very set in the production; one that is not there yet is kept. */
    public long keep(long productionId, StageSet set) {
        String name = Checks.text("The set's name", set.name(), LONGEST_NAME);
        String plan = json.write(set.plan());
        return sets.findFirstByProductionIdAndNameAndPlan(productionId, name, plan)
                .orElseGet(() -> sets.save(new SetEntity(productionId, name, plan))).id();
    }
}
