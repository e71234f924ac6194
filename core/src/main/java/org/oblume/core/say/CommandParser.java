package org.oblume.core.say;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Reads a called-out line: names, verbs and amounts in the order in which they are said. {@code key 45% 4300 half cto},
 * <em>take the edge down a stop and a half</em>, <em>quarter cto on the fill</em>. Values are recorded values; nothing is kept here.
 */
public final class CommandParser {

    private static final List<LineParser> LINES = List.of(
            new NoteLine(), new TakeLine(), new HistoryLine(), new StageLine(), new LockLine(), new NewThingLine());

    /** What is said while one thinks, wherever it stands. */
    private static final Set<String> NOISE = Set.of("um", "uh", "er", "please", "thanks", "ta");

    private final String line;
    private final Words words;
    private final Draft draft;
    private final Speech speech;
    private final @Nullable Placement about;
    private List<Words.Word> verb = List.of();
    private final Map<String, ParsedCommand.Problem> problems = new LinkedHashMap<>();
    private final Map<String, ParsedCommand.Ask> asks = new LinkedHashMap<>();

    /** What can be placed, by the name that the kit has for it. */
    public record Kind(PlacementKind kind, Piece piece) {}

    /**
     * What a line is read against.
     *
     * @param scene with its set, what is placed and its shots
     * @param state of the shot
     * @param stock what can be hung, by its names
     * @param kinds what can be placed
     * @param about key of what is selected or was named last, or null
     */
    public record Heard(
            SceneRecord scene, RecordedState state, List<StockItem> stock, List<Kind> kinds, @Nullable String about) {

        public Heard {
            stock = List.copyOf(stock);
            kinds = List.copyOf(kinds);
        }
    }

    private CommandParser(String line, Heard heard) {
        this.line = line;
        this.words = Words.of(Words.of(line).all().stream()
                .filter(w -> !NOISE.contains(w.text()))
                .toList());
        this.draft = new Draft(heard.scene(), heard.state());
        this.speech = new Speech(heard.scene(), heard.state(), new StockNames(heard.stock()));
        this.about = heard.about() == null
                ? null
                : draft.scene().placements().stream()
                        .filter(p -> p.key().equals(heard.about()))
                        .findFirst()
                        .orElse(null);
    }

    /** @param stock what can be hung, by its names */
    public static ParsedCommand read(String line, SceneRecord scene, RecordedState state, List<StockItem> stock) {
        return read(line, new Heard(scene, state, stock, List.of(), null));
    }

    /**
     * @param line as it was typed or dictated
     * @return all of it, or what is not understood, or what has to be chosen; then nothing else
     */
    public static ParsedCommand read(String line, Heard heard) {
        CommandParser parser = new CommandParser(line, heard);
        if (parser.words.done()) {
            return ParsedCommand.NOTHING;
        }
        Line whole = new Line(line, parser.words, parser.draft, parser.speech, heard);
        for (LineParser known : LINES) {
            try {
                List<? extends ParsedCommand.Other> said = known.read(whole.begin());
                if (!said.isEmpty()) {
                    return ParsedCommand.of(said);
                }
            } catch (Refusal refused) {
                parser.problem(new NotUnderstood(parser.words.all().get(0), refused.phrase(), List.of()));
                return parser.answer();
            } catch (NotUnderstood not) {
                parser.problem(not);
                return parser.answer();
            } catch (AskedBack back) {
                parser.ask(back);
                return parser.answer();
            }
        }
        parser.clauses();
        return parser.answer();
    }

    private void problem(NotUnderstood not) {
        ParsedCommand.Problem problem = not.in(line);
        problems.putIfAbsent(problem.from() + problem.sentence().metric(), problem);
    }

    private void ask(AskedBack back) {
        ParsedCommand.Ask ask = back.ask();
        List<String> lines = ask.lines().stream()
                .map(said -> line.substring(0, ask.from()) + said + line.substring(ask.to()))
                .toList();
        asks.putIfAbsent(
                ask.from() + " " + ask.to(),
                new ParsedCommand.Ask(
                        ask.from(),
                        ask.to(),
                        line.substring(ask.from(), ask.to()),
                        ask.sentence(),
                        ask.candidates(),
                        lines));
    }

    private ParsedCommand answer() {
        if (problems.isEmpty() && asks.isEmpty()) {
            try {
                draft.require();
            } catch (Refusal refused) {
                problems.put("", new ParsedCommand.Problem(0, line.length(), refused.phrase(), List.of()));
            }
        }
        boolean understood = problems.isEmpty() && asks.isEmpty();
        return new ParsedCommand(
                understood ? draft.changes() : List.of(),
                understood ? draft.measured() : List.of(),
                understood ? draft.holds() : List.of(),
                List.copyOf(problems.values()),
                List.copyOf(asks.values()),
                List.of());
    }

    private void clauses() {
        Subjects subjects = new Subjects(words, speech, draft, about != null);
        List<Subjects.Group> groups = subjects.groups();
        if (groups.isEmpty()) {
            nameless();
            return;
        }
        if (just(groups, subjects) || gripOrGel(groups)) {
            return;
        }
        new Cut(words).parts(groups).forEach(this::said);
    }

    private void said(Cut.Part part) {
        List<Subjects.Subject> subjects = part.group().subjects();
        List<Words.Word> head = part.head();
        List<Words.Word> tail = part.tail();
        boolean both = !Cut.saysNothing(head) && !Cut.saysNothing(tail);
        if (!Cut.saysNothing(head)) {
            verb = head.stream().filter(w -> Cut.isAVerb(w)).toList();
        }
        if (both && subjects.size() > 1) {
            Subjects.Subject last = subjects.get(subjects.size() - 1);
            if (understood(subjects.get(0), head) && understood(last, tail)) {
                subjects.subList(0, subjects.size() - 1).forEach(s -> said(s, head));
                said(last, tail);
                return;
            }
        }
        List<Words.Word> all = new ArrayList<>(Cut.saysNothing(head) && isAmount(tail) ? verb : head);
        all.addAll(tail);
        subjects.forEach(s -> said(s, all));
    }

    /** <em>Raise the key a foot and the edge half a foot</em>: an amount alone goes on with the verb. */
    private static boolean isAmount(List<Words.Word> part) {
        Words rest = Words.of(part.stream().filter(w -> !w.isBreak()).toList());
        return Figures.amount(rest)
                        .filter(a -> !a.is(Amount.Unit.BARE) || a.part())
                        .isPresent()
                && rest.done();
    }

    private boolean understood(Subjects.Subject subject, List<Words.Word> part) {
        return !subject.things().isEmpty() && understood(subject.things().get(0), part);
    }

    private boolean understood(Placement thing, List<Words.Word> part) {
        try {
            new Clause(Words.of(part), thing, draft.copy(), speech).read();
            return true;
        } catch (NotUnderstood | AskedBack no) {
            return false;
        }
    }

    private void said(Subjects.Subject subject, List<Words.Word> part) {
        if (subject.asked()) {
            Words.Word first = words.all().get(subject.from());
            Words.Word last = words.all().get(subject.to() - 1);
            ask(new AskedBack(new ParsedCommand.Ask(
                    first.from(),
                    last.to(),
                    "",
                    subject.things().size() == 1
                            ? "Is that %s?".formatted(subject.things().get(0).name())
                            : "Which one?",
                    subject.things().stream().map(Placement::key).toList(),
                    subject.things().stream().map(Placement::name).toList())));
            return;
        }
        subject.things().forEach(thing -> said(thing, part));
    }

    private void said(Placement thing, List<Words.Word> part) {
        try {
            new Clause(Words.of(part), thing, draft, speech).read();
        } catch (NotUnderstood not) {
            problem(not);
        } catch (AskedBack back) {
            ask(back);
        }
    }

    /** <em>Just the key</em>: every other light goes off. */
    private boolean just(List<Subjects.Group> groups, Subjects subjects) {
        Set<Integer> names = new LinkedHashSet<>();
        groups.forEach(g -> g.subjects().forEach(s -> {
            for (int i = s.from(); i < s.to(); i++) {
                names.add(i);
            }
        }));
        boolean only = false;
        for (int i = 0; i < words.all().size(); i++) {
            Words.Word word = words.all().get(i);
            only |= word.text().equals("just") || word.text().equals("only");
            if (!names.contains(i) && !Cut.isFiller(word) && !word.text().equals("only")) {
                return false;
            }
        }
        boolean sure = groups.stream().flatMap(g -> g.subjects().stream()).noneMatch(Subjects.Subject::asked);
        if (!only || !sure) {
            return false;
        }
        List<Placement> kept = groups.stream()
                .flatMap(g -> g.subjects().stream())
                .flatMap(s -> s.things().stream())
                .toList();
        subjects.lit().stream()
                .filter(p -> !kept.contains(p))
                .forEach(p -> draft.put(p, new SetStatus(SetStatus.State.OFF)));
        return true;
    }

    /** <em>Net the edge</em>: a net before it, or the net that stands there? <em>Flag the edge off the wall</em> has no numbers. */
    private boolean gripOrGel(List<Subjects.Group> groups) {
        List<Subjects.Subject> all =
                groups.stream().flatMap(g -> g.subjects().stream()).toList();
        if (all.size() < 2 || !all.get(0).things().get(0).kind().isGrip()) {
            return false;
        }
        Subjects.Subject grip = all.get(0);
        Subjects.Subject light = all.get(1);
        List<Words.Word> between = words.all().subList(grip.to(), light.from());
        boolean lights = light.things().stream().allMatch(p -> p.kind().isLight());
        if (!lights
                || between.stream().anyMatch(w -> !Set.of("on", "the", "in", "front", "of", "before", "over")
                        .contains(w.text()))) {
            return false;
        }
        words.back(grip.from());
        Optional<StockNames.Found> gel = speech.stock().ahead(words);
        words.back(0);
        boolean nothingElse =
                Cut.saysNothing(words.all().subList(light.to(), words.all().size()));
        if (gel.isPresent() && nothingElse) {
            List<String> candidates = new ArrayList<>(gel.get().names());
            List<String> said = new ArrayList<>(gel.get().names());
            grip.things().forEach(t -> {
                candidates.add(t.key());
                said.add(t.name());
            });
            words.back(grip.to());
            ask(Clause.ask(words, grip.from(), "Which one?", candidates, said));
            return true;
        }
        if (between.stream().allMatch(w -> w.text().equals("the"))) {
            String flags = draft.scene().placements().stream()
                    .filter(p -> p.kind().isGrip())
                    .map(Placement::name)
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("none");
            problem(new NotUnderstood(
                    words.all().get(grip.from()),
                    Phrase.of("How it is cut has no numbers: write it as “note: %s”, or move what cuts it: %s."
                            .formatted(line.strip(), flags)),
                    List.of("note: " + line.strip())));
            return true;
        }
        return false;
    }

    /** A line that names nothing: of what is selected, of the only thing that wears what comes off, or of the camera. */
    private void nameless() {
        words.back(0);
        List<Words.Word> said = words.all().stream()
                .filter(w -> !(about != null && w.text().matches("it|that")))
                .toList();
        if (about == null && GelWords.takesOff(words, speech.stock())) {
            wearers(said);
            return;
        }
        boolean dense =
                words.ahead(8).contains("nd") && about != null && about.kind().isLight();
        if (CameraWords.meanACamera(words) && !dense) {
            List<Placement> cameras = draft.scene().placements().stream()
                    .filter(p ->
                            p.kind() == PlacementKind.CAMERA && draft.state().isOnSet(p.key()))
                    .toList();
            if (cameras.size() == 1) {
                said(cameras.get(0), said);
                return;
            }
        }
        if (about != null) {
            said(about, said);
            return;
        }
        Words.Word unknown = words.all().stream()
                .filter(w -> !w.isBreak()
                        && !speech.vocabulary().contains(w.text())
                        && w.text().matches("\\p{L}+"))
                .findFirst()
                .orElse(null);
        problem(
                unknown == null
                        ? new NotUnderstood(
                                words.all().get(0),
                                Phrase.of("No light is named: say what it is about, or select it."),
                                List.of())
                        : new NotUnderstood(
                                unknown,
                                Phrase.of("“%s” is nothing on this plot.".formatted(unknown.text())),
                                near(unknown.text())));
    }

    private List<String> near(String word) {
        List<String> near = new ArrayList<>(speech.names().near(word));
        near.addAll(speech.stock().near(word));
        return near.stream().limit(4).toList();
    }

    /** The one light that wears what comes off. */
    private void wearers(List<Words.Word> said) {
        List<Placement> wear = draft.scene().placements().stream()
                .filter(p -> draft.state().isOnSet(p.key()) && understood(p, said))
                .toList();
        if (wear.size() == 1) {
            said(wear.get(0), said);
            return;
        }
        if (wear.isEmpty()) {
            problem(new NotUnderstood(
                    words.all().get(0),
                    Phrase.of("Nothing in this shot wears that: say which light it is."),
                    List.of()));
            return;
        }
        Words.Word last = words.all().get(words.all().size() - 1);
        ask(new AskedBack(new ParsedCommand.Ask(
                last.to(),
                last.to(),
                "",
                "Off which one?",
                wear.stream().map(Placement::key).toList(),
                wear.stream().map(p -> " on " + p.name()).toList())));
    }
}
