package org.oblume.core.say;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.carry.Change;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.say.CommandParser.Kind;
import org.oblume.core.say.ParsedCommand.SaidThing;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** <em>Place a 150 bicolour spot as topper, …</em>: a kind of the kit, a name, and what is said of it as of any thing. */
final class NewThingLine implements LineParser {

    private static final Set<String> ENDS_A_NAME = Set.of(
            "on",
            "at",
            "from",
            "aimed",
            "to",
            "up",
            "down",
            "in",
            "off",
            "half",
            "quarter",
            "full",
            "eighth",
            "with",
            "through",
            "hue",
            "by",
            "outside",
            "inside",
            "pointing",
            "looking",
            "camera",
            "height",
            "and");

    private static final Set<String> A_LIGHT = Set.of("head", "lamp", "unit", "fixture", "light");
    private static final Map<String, String> UNITS = Map.of(
            "watt", "w", "watts", "w", "k", "kw", "kilowatt", "kw", "kilowatts", "kw", "metre", "m", "metres", "m");

    /** What it is called while nothing knows it. */
    private static final String KEY = "said-thing";

    @Override
    public List<SaidThing> read(Line line) {
        Words words = line.words();
        words.pass("can", "could", "you", "we", "let's", "have", "get", "i'd", "like", "need", "want");
        String verb = words.peek();
        if (!words.take("place", "add", "put", "new")) {
            return List.of();
        }
        words.pass("in", "a", "an", "another", "the", "new");
        int from = words.at();
        List<String> said = new ArrayList<>();
        while (!words.endsClause() && !words.peek().matches("called|as|named")) {
            said.add(words.take().text());
        }
        int to = words.at();
        boolean called = words.take("called", "as", "named");
        if (said.isEmpty() || (!called && !verb.matches("place|new"))) {
            return List.of();
        }
        List<Kind> kinds = kinds(said, line);
        if (kinds.isEmpty()) {
            if (verb.equals("put") || said.stream().noneMatch(w -> isOfAKind(w, line))) {
                return List.of();
            }
            throw new NotUnderstood(
                    words.all().get(from),
                    Phrase.of("The kit has no “%s”: say it as the kit calls it.".formatted(String.join(" ", said))),
                    Slips.nearest(String.join(" ", said), names(line.heard().kinds())));
        }
        if (kinds.size() > 1) {
            words.back(to);
            throw Clause.ask(words, from, "Which one?", names(kinds), names(kinds));
        }
        if (!called) {
            throw new Refusal("Say what it is called: place a %s as key."
                    .formatted(kinds.get(0).piece().what()));
        }
        return List.of(placed(kinds.get(0), line));
    }

    private static List<String> names(List<Kind> kinds) {
        return kinds.stream().map(k -> k.piece().what()).toList();
    }

    private static boolean isOfAKind(String word, Line line) {
        return line.heard().kinds().stream().anyMatch(k -> wordsOf(k).contains(word));
    }

    private static Set<String> wordsOf(Kind kind) {
        Set<String> all = new LinkedHashSet<>();
        Words.of(kind.piece().what()).all().forEach(w -> all.add(w.text()));
        return all;
    }

    /** Kinds of which every word and number was said. */
    private static List<Kind> kinds(List<String> said, Line line) {
        Set<String> wanted = new LinkedHashSet<>();
        Words rest = Words.of(String.join(" ", said));
        while (!rest.done()) {
            int start = rest.at();
            Optional<Figures.Counted> number = rest.peek().matches("a|an") ? Optional.empty() : Figures.number(rest);
            if (number.isPresent()) {
                wanted.add(Numbers.plain(number.get().value()));
            } else {
                rest.back(start);
                String word = rest.take().text();
                wanted.add(UNITS.getOrDefault(word, word));
            }
        }
        wanted.removeIf(w -> A_LIGHT.contains(w) || Speech.FILLERS.contains(w));
        boolean light = said.stream().anyMatch(A_LIGHT::contains);
        if (wanted.isEmpty()) {
            return List.of();
        }
        List<Kind> fits = line.heard().kinds().stream()
                .filter(k -> (!light || k.kind().isLight()) && wordsOf(k).containsAll(wanted))
                .toList();
        List<Kind> exact = fits.stream().filter(k -> wordsOf(k).equals(wanted)).toList();
        return exact.isEmpty() ? fits : exact;
    }

    private static SaidThing placed(Kind kind, Line line) {
        Words words = line.words();
        String name = name(line);
        if (line.draft().scene().placements().stream().anyMatch(p -> p.name().equalsIgnoreCase(name))) {
            throw new Refusal("There is a %s already: call it otherwise.".formatted(name));
        }
        Role role = role(kind.kind(), name);
        Placement thing = new Placement(KEY, name, kind.kind(), role, null, kind.piece());
        Draft draft = line.draft().having(thing);
        List<Words.Word> rest = words.all().subList(words.at(), words.all().size());
        if (rest.stream().anyMatch(w -> !w.isBreak() && !Speech.FILLERS.contains(w.text()))) {
            new Clause(Words.of(rest), thing, draft, line.speech()).read();
        }
        draft.require();
        return new SaidThing(
                name,
                kind.kind(),
                kind.piece().what(),
                role,
                draft.changes().stream().map(Change::value).toList(),
                draft.measured().stream().map(Change::value).findFirst().orElse(null));
    }

    /** The name as it was said, with a capital. */
    private static String name(Line line) {
        Words words = line.words();
        int from = words.at();
        while (!words.done() && !words.all().get(words.at()).isBreak() && (words.at() == from || !ends(words))) {
            words.skip(1);
        }
        if (words.at() == from) {
            throw new Refusal("Say what it is called: called key.");
        }
        String said = line.text()
                .substring(
                        words.all().get(from).from(),
                        words.all().get(words.at() - 1).to());
        return said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1);
    }

    /** Whether the name ends before this word: at a word that says something of it, or at an amount that is not the end of all. */
    private static boolean ends(Words words) {
        int start = words.at();
        boolean number = Figures.whole(words).isPresent()
                && (words.done() || words.all().get(words.at()).isBreak());
        words.back(start);
        boolean amount = Figures.amount(words).isPresent();
        words.back(start);
        return !number && (amount || ENDS_A_NAME.contains(words.peek()));
    }

    /** What its kind is there for; a light what its name says, else the background. */
    private static Role role(PlacementKind kind, String name) {
        return kind.usualRole().orElseGet(() -> Arrays.stream(Role.values())
                .filter(r -> name.toLowerCase(Locale.ROOT).contains(r.label()))
                .findFirst()
                .orElse(Role.BACKGROUND));
    }
}
