package org.oblume.core.say;

import java.util.stream.Collectors;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Refusal;

/** How the place is: all that is said of a condition is how it is now. <em>Haze thick by the door</em>; <em>haze gone</em>. */
final class ConditionWords implements PhraseParser {

    @Override
    public boolean read(Clause clause) {
        if (clause.about().kind() != PlacementKind.CONDITION) {
            return false;
        }
        Words words = clause.words();
        words.pass("is", "are", "now", "to", "at", ",");
        if (words.take("gone", "strike") && words.endsClause()) {
            clause.draft().put(clause.about(), SetStatus.STRUCK);
            return true;
        }
        Condition now = clause.draft()
                .value(clause.about().key(), Condition.class)
                .orElseThrow(() -> new Refusal("%s is not recorded in this shot.".formatted(clause.name())));
        String state = words.all().stream()
                .skip(words.at())
                .map(Words.Word::text)
                .collect(Collectors.joining(" "))
                .replace(" ,", ",")
                .replaceAll("[ ,;]+$", "");
        words.skip(words.all().size() - words.at());
        if (state.isEmpty()) {
            return false;
        }
        clause.draft().put(clause.about(), new Condition(now.sort(), state, now.who()));
        return true;
    }
}
