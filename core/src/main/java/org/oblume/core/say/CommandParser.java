package org.oblume.core.say;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.ValueKey;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.reach.Reach;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;

/**
 * Reads a called-out line. A line is clauses apart by commas; each names what it is about by nickname, unit or role, or goes on
 * about the last one named, and says what changes: {@code key 45% 4300 half cto, frame 1.2 m}, {@code edge down 1 stop},
 * {@code lamp off}, {@code key closer 40 cm hold}, {@code camera t4}. Values are recorded values; nothing is kept here.
 */
public final class CommandParser {

    private static final int LONGEST_NAME = 6;
    /** A role at the beginning of a clause, a way to move after that. */
    private static final String ALSO_A_WAY = "back";

    private static final int MOST_SUGGESTIONS = 4;
    private static final Map<String, Role> OTHER_ROLE_WORDS = Map.of(
            "back",
            Role.EDGE,
            "hair",
            Role.EDGE,
            "rim",
            Role.EDGE,
            "kicker",
            Role.EDGE,
            "neg",
            Role.NEGATIVE_FILL,
            "ambient",
            Role.AMBIENCE);

    private final SceneRecord scene;
    private final RecordedState state;
    private final List<StockItem> stock;
    private final Map<ValueKey, Change> changes = new LinkedHashMap<>();
    private final Set<String> holds = new LinkedHashSet<>();
    private final List<ParsedCommand.Problem> problems = new ArrayList<>();
    private final Map<String, Placement> names = new LinkedHashMap<>();

    private CommandParser(SceneRecord scene, RecordedState state, List<StockItem> stock) {
        this.scene = scene;
        this.state = state;
        this.stock = stock;
        for (Placement placement : scene.placements()) {
            names.put(placement.name().toLowerCase(Locale.ROOT), placement);
        }
        for (Placement placement : scene.placements()) {
            if (placement.piece().unit() != null) {
                names.putIfAbsent(placement.piece().unit().toLowerCase(Locale.ROOT), placement);
            }
            names.putIfAbsent(placement.role().label(), placement);
            if (placement.kind() == PlacementKind.CAMERA) {
                names.putIfAbsent("camera", placement);
            }
        }
        OTHER_ROLE_WORDS.forEach((word, role) -> scene.placements().stream()
                .filter(p -> p.role() == role)
                .findFirst()
                .ifPresent(p -> names.putIfAbsent(word, p)));
        for (Placement placement : scene.placements()) {
            String[] parts = placement.name().toLowerCase(Locale.ROOT).split(" ");
            names.putIfAbsent(parts[parts.length - 1], placement);
        }
    }

    /** @param stock what can be hung, by its names */
    public static ParsedCommand read(String line, SceneRecord scene, RecordedState state, List<StockItem> stock) {
        CommandParser reader = new CommandParser(scene, state, stock);
        reader.read(new Tokens(line));
        reader.leaveOutWhatCannotBe(line);
        return new ParsedCommand(List.copyOf(reader.changes.values()), List.copyOf(reader.holds), reader.problems);
    }

    /** Looked at when all is said: what is moved out of a room may be higher than its ceiling. */
    private void leaveOutWhatCannotBe(String line) {
        for (Change change : List.copyOf(changes.values())) {
            try {
                Reach.require(scene, said(change.placement()), scene.placement(change.placement()), change.value());
            } catch (Refusal refused) {
                problems.add(new ParsedCommand.Problem(0, line.length(), refused.phrase(), List.of()));
                changes.remove(change.key());
            }
        }
    }

    /** A thing as it would be with all that was said. */
    private RecordedState said(String key) {
        List<Change> values = new ArrayList<>();
        for (Attribute attribute : Attribute.values()) {
            state.value(key, attribute).ifPresent(v -> values.add(new Change(key, v)));
        }
        changes.values().stream().filter(c -> c.placement().equals(key)).forEach(values::add);
        return new LookState(state.name(), values);
    }

    private void read(Tokens words) {
        @Nullable Placement about = null;
        boolean begins = true;
        while (!words.done()) {
            if (words.atBreak() || words.peek().text().equalsIgnoreCase("and")) {
                words.take();
                begins = true;
                continue;
            }
            Placement named = begins || !words.ahead(1).equals(ALSO_A_WAY) ? named(words) : null;
            begins = false;
            if (named != null) {
                about = named;
                if (words.done() || words.atBreak()) {
                    problem(
                            words.done() ? words.end() : words.peek(),
                            Phrase.of("Say what changes on %s.".formatted(about.name())),
                            List.of("45%", "down 1 stop", "off"));
                }
                continue;
            }
            Tokens.Token at = words.peek();
            if (about == null) {
                problem(
                        at,
                        Phrase.of("“%s” is nothing on this plot: begin with what it is about.".formatted(at.text())),
                        nearest(at.text(), names.keySet()));
                return;
            }
            try {
                if (!new CommandClause(this, about, words).read()) {
                    problem(
                            at,
                            Phrase.of("“%s” is not understood for %s.".formatted(at.text(), about.name())),
                            suggestions(at.text()));
                    words.take();
                }
            } catch (Refusal refused) {
                problem(at, refused.phrase(), List.of());
                if (!words.done() && words.peek().equals(at)) {
                    words.take();
                }
            }
        }
    }

    private void problem(Tokens.Token at, Phrase sentence, List<String> suggestions) {
        problems.add(new ParsedCommand.Problem(at.from(), at.to(), sentence, suggestions));
    }

    private @Nullable Placement named(Tokens words) {
        for (int count = LONGEST_NAME; count > 0; count--) {
            String text = words.ahead(count);
            if (count <= words.toBreak() && names.containsKey(text)) {
                words.skip(count);
                return names.get(text);
            }
        }
        return null;
    }

    /** A stock item by its name, the longest that fits; taken from the words. */
    Optional<StockItem> hung(Tokens words) {
        Optional<Hung> found = ahead(words);
        found.ifPresent(f -> words.skip(f.words()));
        return found.map(Hung::item);
    }

    /** Whether the next words are the name of a stock item. */
    boolean hangs(Tokens words) {
        return ahead(words).isPresent();
    }

    private record Hung(StockItem item, int words) {}

    private Optional<Hung> ahead(Tokens words) {
        for (int count = LONGEST_NAME; count > 0; count--) {
            String text = words.ahead(count);
            if (count <= words.toBreak()) {
                Optional<StockItem> found = stock.stream()
                        .filter(StockItem::isFilter)
                        .filter(s -> called(s, text))
                        .findFirst();
                if (found.isPresent()) {
                    return Optional.of(new Hung(found.get(), count));
                }
            }
        }
        return Optional.empty();
    }

    static boolean called(StockItem item, String text) {
        String name = item.name().toLowerCase(Locale.ROOT);
        return name.equals(text)
                || name.replace(",", "").equals(text)
                || name.equals(text.replace("1/2", "half").replace("1/4", "quarter"));
    }

    /** What holds for a placement after what was said so far. */
    <V extends AttributeValue> Optional<V> value(String key, Class<V> type) {
        return changes.values().stream()
                .filter(c -> c.placement().equals(key))
                .map(Change::value)
                .filter(type::isInstance)
                .map(type::cast)
                .findFirst()
                .or(() -> state.value(key, type));
    }

    void put(Placement placement, AttributeValue value) {
        scene.check(placement.key(), value);
        Change change = new Change(placement.key(), value);
        changes.put(change.key(), change);
    }

    void hold(Placement placement) {
        if (!placement.kind().isLight()) {
            throw new Refusal("Only a light can be held.");
        }
        holds.add(placement.key());
    }

    SceneRecord recording() {
        return scene;
    }

    RecordedState state() {
        return state;
    }

    Optional<Placement> mark(String text) {
        return Optional.ofNullable(names.get(text)).filter(p -> p.kind() == PlacementKind.MARK);
    }

    Optional<Placement> light(String text) {
        return Optional.ofNullable(names.get(text)).filter(p -> p.kind().isLight());
    }

    Modifiers stack(Placement placement) {
        return value(placement.key(), Modifiers.class).orElse(Modifiers.NONE);
    }

    Modifiers withItem(Modifiers stack, Modifier item) {
        List<Modifier> items = new ArrayList<>(stack.items());
        items.add(item);
        return new Modifiers(items);
    }

    private List<String> suggestions(String word) {
        List<String> all = new ArrayList<>(List.of(
                "off", "on", "up", "down", "closer", "back", "higher", "lower", "hold", "tint", "beam", "frame",
                "aim"));
        all.addAll(names.keySet());
        stock.stream()
                .filter(StockItem::isFilter)
                .map(s -> s.name().toLowerCase(Locale.ROOT))
                .forEach(all::add);
        return nearest(word, all);
    }

    /** The names that are least edits away. */
    private static List<String> nearest(String word, Iterable<String> names) {
        String wanted = word.toLowerCase(Locale.ROOT);
        List<String> all = new ArrayList<>();
        names.forEach(all::add);
        int most = Math.max(2, wanted.length() / 3);
        return all.stream()
                .distinct()
                .filter(n -> apart(n, wanted) <= most)
                .sorted(Comparator.comparingInt((String n) -> apart(n, wanted)))
                .limit(MOST_SUGGESTIONS)
                .toList();
    }

    /** Edits from the word to the name or to the nearest of its words; none when it is a beginning of it. */
    private static int apart(String name, String wanted) {
        int best = wanted.length() > 2 && name.startsWith(wanted) ? 0 : distance(name, wanted);
        for (String part : name.split("[ ,]+")) {
            best = Math.min(best, distance(part, wanted));
        }
        return best;
    }

    /** Edits from one word to another (Levenshtein). */
    private static int distance(String one, String other) {
        int[] row = new int[other.length() + 1];
        for (int j = 0; j <= other.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= one.length(); i++) {
            int corner = row[0];
            row[0] = i;
            for (int j = 1; j <= other.length(); j++) {
                int above = row[j];
                row[j] = Math.min(
                        Math.min(row[j], row[j - 1]) + 1, corner + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1));
                corner = above;
            }
        }
        return row[other.length()];
    }
}
