package org.oblume.core.say;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Refusal;

/**
 * A whole line with all that its words can mean.
 *
 * @param text as it was typed or dictated
 */
record Line(String text, Words words, Draft draft, Speech speech, CommandParser.Heard heard) {

    private static final Set<String> BEFORE = Set.of("okay", "ok", "so", "now", "and");
    private static final Set<String> BESIDE = Set.of("okay", "ok", ",", ";");

    /** At its first word that says something. */
    Line begin() {
        words.back(0);
        while (words.isNext(BEFORE)) {
            words.skip(1);
        }
        return this;
    }

    /** All that follows, as it was typed. */
    String rest() {
        words.pass(",", ";");
        int at = words.at() == 0 ? 0 : words.all().get(words.at() - 1).to();
        return text.substring(at).replaceFirst("^[\\s:,;\\-–]+", "").strip();
    }

    /** What follows, in plain words. */
    String plain() {
        return String.join(
                " ",
                words.all().stream()
                        .skip(words.at())
                        .map(Words.Word::text)
                        .filter(w -> !BESIDE.contains(w))
                        .toList());
    }

    /** The things of the name that comes next, taken from the words; empty when none does. */
    List<Placement> things(String which) {
        words.article();
        int from = words.at();
        Optional<Names.Found> found = speech.names().ahead(words);
        found.ifPresent(f -> words.skip(f.words()));
        if (found.isPresent() && found.get().asked()) {
            throw Clause.which(words, from, which, found.get().things());
        }
        return found.map(Names.Found::things).orElse(List.of());
    }

    /** {@code 31B}, <em>thirty one b</em>: the slate of a shot of the scene; nothing taken when it is none. */
    Optional<String> slate() {
        int start = words.at();
        words.take("shot");
        Optional<String> said = words.peek().matches("\\d+\\p{L}{1,2}")
                ? Optional.of(words.take().text())
                : spokenSlate();
        if (said.isEmpty()) {
            words.back(start);
            return said;
        }
        List<String> slates =
                draft.scene().book().slates().stream().map(Slate::text).toList();
        String slate = said.get().toUpperCase(Locale.ROOT);
        if (!slates.contains(slate)) {
            throw new Refusal(
                    "There is no shot %s in this scene: there are %s.".formatted(slate, String.join(", ", slates)));
        }
        return Optional.of(slate);
    }

    private Optional<String> spokenSlate() {
        return Figures.whole(words)
                .filter(n -> words.peek().matches("\\p{L}"))
                .map(n -> n + words.take().text());
    }
}
