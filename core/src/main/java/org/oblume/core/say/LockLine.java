package org.oblume.core.say;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.oblume.core.plot.Placement;
import org.oblume.core.say.ParsedCommand.SaidLock;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** <em>Lock the key and the fill</em>, <em>unlock the desk lamp</em>: where they stand. */
final class LockLine implements LineParser {

    @Override
    public List<SaidLock> read(Line line) {
        Words words = line.words();
        boolean unlock = words.take("unlock");
        if (!unlock && !words.take("lock")) {
            return List.of();
        }
        Set<Placement> things = new LinkedHashSet<>();
        while (!words.pass("the", "and", ",", "both", "off", "down").done()) {
            List<Placement> named = line.things("Which one?");
            if (named.isEmpty()) {
                throw new NotUnderstood(
                        words.all().get(words.at()),
                        Phrase.of("“%s” is nothing on this plot.".formatted(words.peek())),
                        line.speech().names().near(words.peek()));
            }
            things.addAll(named);
        }
        if (things.isEmpty()) {
            throw new Refusal("Say what is to be %s.".formatted(unlock ? "unlocked" : "locked"));
        }
        return things.stream().map(t -> new SaidLock(t.key(), !unlock)).toList();
    }
}
