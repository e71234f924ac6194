package org.oblume.core.say;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/** Lines that are known by how they begin: notes, takes, stages, locks, steps in the history, new things. */
final class FirstWords {

    private static final Set<String> UNDO = Set.of("undo", "undo that", "undo it", "scratch that", "undo last");
    private static final Set<String> REDO = Set.of("redo", "redo that", "redo it");
    private static final Set<String> GOT_IT =
            Set.of("lock it", "we've got it", "we have got it", "got it", "we got it", "that's a lock");
    private static final Pattern CIRCLED =
            Pattern.compile("(?i)[\\s,;:]*\\b(circle(d)?( it| that| that one)?)\\b[\\s,;:]*");
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
            "height");

    private final String line;
    private final Words words;
    private final Draft draft;
    private final Speech speech;
    private final CommandParser.Heard heard;

    FirstWords(String line, Words words, Draft draft, Speech speech, CommandParser.Heard heard) {
        this.line = line;
        this.words = words;
        this.draft = draft;
        this.speech = speech;
        this.heard = heard;
    }

    /** What the line says, when it begins like one of these. */
    Optional<ParsedCommand> read() {
        Optional<ParsedCommand> said = note();
        if (said.isEmpty()) {
            said = again().take();
        }
        if (said.isEmpty()) {
            said = again().step();
        }
        if (said.isEmpty()) {
            said = again().stage();
        }
        if (said.isEmpty()) {
            said = again().locked();
        }
        if (said.isEmpty()) {
            said = again().thing();
        }
        words.back(0);
        return said;
    }

    private FirstWords again() {
        words.back(0);
        words.pass("please", "okay", "ok", "so", "now", "um", "uh", "er", "and");
        return this;
    }

    private static ParsedCommand notes(ParsedCommand.SaidNote note) {
        return new ParsedCommand(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(note),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null);
    }

    private Optional<ParsedCommand> note() {
        if (!words.take("note")) {
            return Optional.empty();
        }
        boolean colon = line.substring(
                        0,
                        words.done()
                                ? line.length()
                                : words.all().get(words.at()).from())
                .contains(":");
        int start = words.at();
        if (!colon && words.take("on", "for", "about")) {
            words.article();
            int from = words.at();
            Optional<Names.Found> of = speech.names().ahead(words);
            if (of.isPresent()) {
                words.skip(of.get().words());
                if (of.get().asked()) {
                    throw Clause.ask(
                            words,
                            from,
                            "A note on which one?",
                            of.get().things().stream().map(Placement::key).toList(),
                            of.get().things().stream().map(Placement::name).toList());
                }
                return Optional.of(notes(new ParsedCommand.SaidNote(
                        of.get().things().get(0).key(), rest("Say what is to be noted of it."))));
            }
            words.back(start);
        }
        return Optional.of(
                notes(new ParsedCommand.SaidNote(null, rest("Say what is to be noted: note: blinds half shut."))));
    }

    /** All that follows, as it was said. */
    private String rest(String missing) {
        words.pass(",", ";");
        int at = words.at() == 0 ? 0 : words.all().get(words.at() - 1).to();
        String rest = line.substring(at).replaceFirst("^[\\s:,;\\-–]+", "").strip();
        if (rest.isEmpty()) {
            throw new Refusal(missing);
        }
        return rest;
    }

    private Optional<ParsedCommand> take() {
        boolean circled = words.take("circle");
        words.take("the");
        if (!words.take("take")) {
            return Optional.empty();
        }
        Optional<Figures.Counted> number =
                words.peek().matches("a|an|half|third") ? Optional.empty() : Figures.number(words);
        boolean counts = number.isPresent()
                && number.get().value() == Math.rint(number.get().value())
                && number.get().value() >= 1
                && !words.peek()
                        .matches(
                                "stops?|%|percent|of|off|m|cm|mm|ft|foot|feet|in|metres?|degrees?|°|k|kelvin|mired|'|\"|points");
        if (!counts) {
            return Optional.empty();
        }
        String rest = line.substring(words.all().get(words.at() - 1).to());
        Matcher circle = CIRCLED.matcher(rest);
        if (circle.find()) {
            circled = true;
            rest = rest.substring(0, circle.start()) + " " + rest.substring(circle.end());
        }
        String note = rest.replaceFirst("^[\\s:,;\\-–]+", "").strip();
        int take = (int) number.orElseThrow().value();
        return Optional.of(new ParsedCommand(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new ParsedCommand.SaidTake(take, circled, note.isEmpty() ? null : note)),
                List.of(),
                List.of(),
                List.of(),
                null));
    }

    private String plain() {
        return String.join(
                " ",
                words.all().stream()
                        .skip(words.at())
                        .map(Words.Word::text)
                        .filter(w -> !w.matches("please|thanks|ta|okay|ok|[,;]"))
                        .toList());
    }

    private Optional<ParsedCommand> step() {
        String said = plain();
        ParsedCommand.Step step =
                UNDO.contains(said) ? ParsedCommand.Step.UNDO : REDO.contains(said) ? ParsedCommand.Step.REDO : null;
        if (step == null && (words.peek().equals("undo") || words.peek().equals("redo"))) {
            throw new Refusal("Say %s alone: it takes the last step %s."
                    .formatted(words.peek(), words.peek().equals("undo") ? "back" : "again"));
        }
        return step == null
                ? Optional.empty()
                : Optional.of(new ParsedCommand(
                        List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
                        List.of(), step));
    }

    private static ParsedCommand stages(String slate, ShotStage stage) {
        return new ParsedCommand(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new ParsedCommand.SaidStage(slate, stage)),
                List.of(),
                null);
    }

    private Optional<ParsedCommand> stage() {
        String here = heard.state().name();
        if (GOT_IT.contains(plain())) {
            return Optional.of(stages(here, ShotStage.SHOT));
        }
        boolean verb = words.take("mark", "call", "set");
        Optional<String> slate = slate();
        if (slate.isEmpty() && words.takeAny("this shot", "this", "it", "the shot")) {
            slate = Optional.of(here);
        }
        if (slate.isEmpty()) {
            return Optional.empty();
        }
        words.pass("as", "is", "down", "now");
        Optional<ShotStage> stage = stageSaid();
        if (stage.isEmpty() || !plain().isEmpty()) {
            return Optional.empty();
        }
        String known = slate.get();
        if (!known.equals(here)
                && draft.scene().book().slates().stream().map(Slate::text).noneMatch(known::equals)) {
            throw new Refusal("There is no shot %s in this scene: there are %s."
                    .formatted(
                            known,
                            String.join(
                                    ", ",
                                    draft.scene().book().slates().stream()
                                            .map(Slate::text)
                                            .toList())));
        }
        return verb
                        || !known.equals(here)
                        || line.toLowerCase(Locale.ROOT).contains(known.toLowerCase(Locale.ROOT))
                        || line.contains("is")
                ? Optional.of(stages(known, stage.get()))
                : Optional.empty();
    }

    private Optional<ShotStage> stageSaid() {
        for (ShotStage stage : ShotStage.values()) {
            if (words.take(stage.label())) {
                return Optional.of(stage);
            }
        }
        return Optional.empty();
    }

    /** {@code 31B}, <em>thirty one b</em>; nothing taken when it is none. */
    private Optional<String> slate() {
        int start = words.at();
        words.take("shot");
        if (words.peek().matches("\\d+\\p{L}{1,2}")) {
            return Optional.of(words.take().text().toUpperCase(Locale.ROOT));
        }
        Optional<Figures.Counted> number = words.peek().matches("a|an") ? Optional.empty() : Figures.number(words);
        if (number.isPresent()
                && number.get().value() == Math.rint(number.get().value())
                && words.peek().matches("\\p{L}")) {
            return Optional.of(
                    Math.round(number.get().value()) + words.take().text().toUpperCase(Locale.ROOT));
        }
        words.back(start);
        return Optional.empty();
    }

    private Optional<ParsedCommand> locked() {
        boolean unlock = words.take("unlock");
        if (!unlock && !words.take("lock")) {
            return Optional.empty();
        }
        Set<Placement> things = new LinkedHashSet<>();
        while (!words.done()) {
            words.pass("the", "and", ",", "off", "down", "please", "both");
            if (words.done()) {
                break;
            }
            int from = words.at();
            Optional<Names.Found> found = speech.names().ahead(words);
            if (found.isEmpty()) {
                throw new NotUnderstood(
                        words.all().get(from),
                        Phrase.of("“%s” is nothing on this plot.".formatted(words.peek())),
                        speech.names().near(words.peek()));
            }
            words.skip(found.get().words());
            if (found.get().asked()) {
                throw Clause.ask(
                        words,
                        from,
                        "Which one?",
                        found.get().things().stream().map(Placement::key).toList(),
                        found.get().things().stream().map(Placement::name).toList());
            }
            things.addAll(found.get().things());
        }
        if (things.isEmpty()) {
            throw new Refusal("Say what is to be %s.".formatted(unlock ? "unlocked" : "locked"));
        }
        return Optional.of(new ParsedCommand(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                things.stream()
                        .map(t -> new ParsedCommand.SaidLock(t.key(), !unlock))
                        .toList(),
                null));
    }

    /** <em>Add a 150 bicolour spot as topper, …</em>. */
    private Optional<ParsedCommand> thing() {
        words.pass("can", "could", "you", "we", "let's", "have", "get", "i'd", "like", "need", "want");
        String verb = words.peek();
        if (!words.take("place", "add", "put", "new")) {
            return Optional.empty();
        }
        words.pass("in", "a", "an", "another", "the", "new");
        int from = words.at();
        List<String> said = new ArrayList<>();
        boolean called = false;
        while (!words.done() && !words.all().get(words.at()).isBreak()) {
            if (words.take("called", "as", "named")) {
                called = true;
                break;
            }
            said.add(words.take().text());
        }
        if (!called && !verb.equals("place") && !verb.equals("new")) {
            return Optional.empty();
        }
        int to = words.at() - (called ? 1 : 0);
        List<CommandParser.Kind> kinds = kinds(said);
        if (kinds.isEmpty()) {
            if (verb.equals("put") || (verb.equals("add") && said.stream().noneMatch(this::isOfAKind))) {
                return Optional.empty();
            }
            throw new NotUnderstood(
                    words.all().get(Math.min(from, words.all().size() - 1)),
                    Phrase.of("The kit has no “%s”: say it as the kit calls it.".formatted(String.join(" ", said))),
                    Slips.nearest(
                            String.join(" ", said),
                            heard.kinds().stream().map(k -> k.piece().what()).toList()));
        }
        if (kinds.size() > 1) {
            words.back(to);
            List<String> names = kinds.stream().map(k -> k.piece().what()).toList();
            throw Clause.ask(words, from, "Which one?", names, names);
        }
        if (!called) {
            throw new Refusal("Say what it is called: place a %s as key."
                    .formatted(kinds.get(0).piece().what()));
        }
        return Optional.of(placed(kinds.get(0)));
    }

    private boolean isOfAKind(String word) {
        return heard.kinds().stream().anyMatch(k -> wordsOf(k.piece().what()).contains(word));
    }

    private static Set<String> wordsOf(String what) {
        Set<String> all = new LinkedHashSet<>();
        Words.of(what).all().forEach(w -> all.add(w.text()));
        return all;
    }

    /** Kinds of which every word and number was said. */
    private List<CommandParser.Kind> kinds(List<String> said) {
        List<String> wanted = new ArrayList<>();
        Words rest = Words.of(String.join(" ", said));
        while (!rest.done()) {
            int start = rest.at();
            Optional<Figures.Counted> number = rest.peek().matches("a|an") ? Optional.empty() : Figures.number(rest);
            if (number.isPresent()) {
                double value = number.get().value();
                wanted.add(value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value));
            } else {
                rest.back(start);
                wanted.add(unit(rest.take().text()));
            }
        }
        wanted.removeIf(w -> w.matches("a|an|the|some|of|by|head|lamp|unit|light|fixture"));
        boolean head = said.stream().anyMatch(w -> w.matches("head|lamp|unit|fixture|light"));
        if (wanted.isEmpty()) {
            return List.of();
        }
        List<CommandParser.Kind> fits = heard.kinds().stream()
                .filter(k -> !head || k.kind() == PlacementKind.HEAD || k.kind() == PlacementKind.PRACTICAL)
                .filter(k -> wordsOf(k.piece().what()).containsAll(wanted))
                .toList();
        List<CommandParser.Kind> exact = fits.stream()
                .filter(k -> k.piece().what().equalsIgnoreCase(String.join(" ", said)))
                .toList();
        return exact.isEmpty() ? fits : exact;
    }

    private static String unit(String word) {
        return switch (word) {
            case "watt", "watts" -> "w";
            case "k", "kilowatt", "kilowatts" -> "kw";
            case "metre", "metres" -> "m";
            default -> word;
        };
    }

    private ParsedCommand placed(CommandParser.Kind kind) {
        int from = words.at();
        while (!words.done() && !words.all().get(words.at()).isBreak() && (words.at() == from || !endsName())) {
            words.skip(1);
        }
        if (words.at() == from) {
            throw new Refusal("Say what it is called: called key.");
        }
        String said = line.substring(
                words.all().get(from).from(), words.all().get(words.at() - 1).to());
        String name = said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1);
        if (draft.scene().placements().stream().anyMatch(p -> p.name().equalsIgnoreCase(name))) {
            throw new Refusal("There is a %s already: call it otherwise.".formatted(name));
        }
        Role role = role(kind.kind(), name);
        Placement thing = new Placement(
                "said-" + name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"),
                name,
                kind.kind(),
                Role.BACKGROUND,
                null,
                kind.piece());
        List<Words.Word> rest = words.all().subList(words.at(), words.all().size());
        boolean more = rest.stream().anyMatch(w -> !w.isBreak() && !Speech.FILLERS.contains(w.text()));
        if (more) {
            new Clause(Words.of(rest), thing, draft, speech).read();
        }
        return new ParsedCommand(
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(new ParsedCommand.SaidThing(
                        name,
                        kind.kind(),
                        kind.piece().what(),
                        role,
                        draft.changes().stream().map(Change::value).toList())),
                List.of(),
                List.of(),
                null);
    }

    /** What its kind is there for; a light what its name says, else the background. */
    private static Role role(PlacementKind kind, String name) {
        return switch (kind) {
            case MARK -> Role.SUBJECT;
            case CAMERA -> Role.CAMERA;
            case FLAG, NET -> Role.NEGATIVE_FILL;
            case BOUNCE, FRAME -> Role.FILL;
            case DAYLIGHT -> Role.AMBIENCE;
            case PRACTICAL -> Role.PRACTICAL;
            default ->
                Arrays.stream(Role.values())
                        .filter(r -> name.toLowerCase(Locale.ROOT).contains(r.label()))
                        .findFirst()
                        .orElse(Role.BACKGROUND);
        };
    }

    private boolean endsName() {
        String word = words.peek();
        if (endsWithANumber()) {
            return false;
        }
        return ENDS_A_NAME.contains(word) || word.matches("[\\d.].*|and") || isAmount();
    }

    /** <em>Sun two</em>: a number is a part of the name when nothing follows it. */
    private boolean endsWithANumber() {
        int start = words.at();
        boolean last = !words.peek().matches("a|an|half|third|quarter")
                && Figures.number(words).filter(n -> !n.part()).isPresent()
                && (words.done() || words.all().get(words.at()).isBreak());
        words.back(start);
        return last;
    }

    private boolean isAmount() {
        int start = words.at();
        boolean amount = Figures.amount(words).isPresent();
        words.back(start);
        return amount;
    }
}
