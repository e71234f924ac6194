package org.oblume.core.hint;

import java.util.List;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.HintKind;

/** What one rule finds by itself. */
final class Found {

    private Found() {}

    static List<Hint> by(HintRule rule, Stage stage) {
        HintContext shot = new HintContext(stage.set(), stage.placements(), stage.light());
        rule.look(shot);
        return shot.found();
    }

    static List<HintKind> kinds(HintRule rule, Stage stage) {
        return by(rule, stage).stream().map(Hint::kind).toList();
    }
}
