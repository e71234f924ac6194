package org.oblume.core.say;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** What is placed, by the names that a crew calls it. A name that fits more than one thing is theirs all; nothing takes the first. */
final class Names {

    private static final int LONGEST = 6;
    /** A word that is shorter than this is not guessed at. */
    private static final int LONG_ENOUGH = 4;

    private static final Set<String> A_LIGHT = Set.of("light", "lamp", "head", "unit", "fixture");
    private static final Set<String> PRONOUNS = Set.of("him", "her", "them", "the mark");
    private static final Map<String, Role> ROLE_WORDS = Map.of(
            "rim", Role.EDGE,
            "back", Role.EDGE,
            "back light", Role.EDGE,
            "backlight", Role.EDGE,
            "rim light", Role.EDGE);

    private final List<Placement> things;
    /** Words that a name can begin with. */
    private final Set<String> begins;

    private final Map<String, List<Placement>> full = new LinkedHashMap<>();
    private final Map<String, List<Placement>> units = new LinkedHashMap<>();
    private final Map<String, List<Placement>> groups = new LinkedHashMap<>();
    private final Map<String, Set<Placement>> ends = new LinkedHashMap<>();
    private final Map<String, Set<Placement>> endsOfUnits = new LinkedHashMap<>();

    /**
     * What a name is of.
     *
     * @param things one, or all of a group, or all that it fits
     * @param asked whether it fits more than one, so that one has to be chosen, or is a short word with a slip in it
     * @param words how many it takes
     */
    record Found(List<Placement> things, boolean asked, int words) {

        Found {
            things = List.copyOf(things);
        }
    }

    Names(Collection<Placement> placements) {
        this.things =
                placements.stream().filter(p -> p.kind() != PlacementKind.CUE).toList();
        for (Placement thing : things) {
            String name = key(thing.name());
            full.computeIfAbsent(name, k -> new ArrayList<>()).add(thing);
            parts(name).forEach(p -> ends.computeIfAbsent(p, k -> new LinkedHashSet<>())
                    .add(thing));
            String unit = thing.piece().unit();
            if (unit != null) {
                units.computeIfAbsent(key(unit), k -> new ArrayList<>()).add(thing);
                parts(key(unit)).forEach(p -> endsOfUnits
                        .computeIfAbsent(p, k -> new LinkedHashSet<>())
                        .add(thing));
            }
            if (thing.group() != null) {
                groups.computeIfAbsent(key(thing.group()), k -> new ArrayList<>())
                        .add(thing);
            }
            if (thing.kind() == PlacementKind.CAMERA) {
                full.computeIfAbsent("camera", k -> new ArrayList<>());
                if (!full.get("camera").contains(thing)) {
                    full.get("camera").add(thing);
                }
            }
        }
        begins = new LinkedHashSet<>(vocabulary());
        ROLE_WORDS.keySet().forEach(w -> begins.add(w.split(" ")[0]));
        things.forEach(t -> begins.add(t.role().label().split(" ")[0]));
        begins.addAll(Set.of("both", "practical", "practicals", "him", "her", "them", "the", "mark"));
    }

    /** A name as it is said: <em>Strip one</em> is {@code strip 1}. */
    private static String key(String name) {
        Words words = Words.of(name);
        return text(words, words.all().size())
                .orElseGet(() -> words.all().stream().map(Words.Word::text).collect(Collectors.joining(" ")));
    }

    /** The words at the beginning of a name and those at its end: <em>hair</em>, <em>ceiling bounce</em>, <em>bounce head</em>. */
    private static Set<String> parts(String name) {
        List<String> words = Arrays.asList(name.split(" "));
        Set<String> parts = new LinkedHashSet<>();
        for (int i = 1; i < words.size(); i++) {
            parts.add(String.join(" ", words.subList(0, i)));
            parts.add(String.join(" ", words.subList(i, words.size())));
        }
        parts.removeIf(p -> p.matches("[\\d ]+|\\p{L}"));
        return parts;
    }

    /** The longest name from here on; nothing is taken. */
    Optional<Found> ahead(Words words) {
        if (!begins.contains(words.peek()) && !Figures.canBegin(words.peek())) {
            return Optional.empty();
        }
        for (int count = LONGEST; count > 0; count--) {
            Optional<String> text = text(words, count);
            if (text.isPresent()) {
                Optional<Found> found = named(text.get(), count);
                if (found.isPresent()) {
                    return found;
                }
            }
        }
        return Optional.empty();
    }

    /** So many words from here on, spoken numbers in digits; empty when they do not end there or a break is between. */
    private static Optional<String> text(Words words, int count) {
        int start = words.at();
        List<String> text = new ArrayList<>();
        while (words.at() < start + count && !words.done()) {
            if (words.all().get(words.at()).isBreak()) {
                break;
            }
            text.add(Figures.whole(words).map(String::valueOf).orElseGet(() -> words.take()
                    .text()));
        }
        boolean fits = words.at() == start + count;
        words.back(start);
        return fits ? Optional.of(String.join(" ", text)) : Optional.empty();
    }

    private Optional<Found> named(String text, int count) {
        if (full.containsKey(text)) {
            return Optional.of(all(full.get(text), count));
        }
        String group = text.startsWith("both ") ? text.substring("both ".length()) : text;
        if (groups.containsKey(group)) {
            return Optional.of(new Found(groups.get(group), false, count));
        }
        if (units.containsKey(text)) {
            return Optional.of(all(units.get(text), count));
        }
        int last = text.lastIndexOf(' ');
        if (last > 0 && A_LIGHT.contains(text.substring(last + 1)) && !ends.containsKey(text)) {
            Optional<Found> light = lightCalled(text.substring(0, last), count);
            if (light.isPresent()) {
                return light;
            }
        }
        if (ROLE_WORDS.containsKey(text)) {
            List<Placement> role = things.stream()
                    .filter(p -> p.kind().isLight() && p.role() == ROLE_WORDS.get(text))
                    .toList();
            return role.isEmpty() ? Optional.empty() : Optional.of(all(role, count));
        }
        if (ends.containsKey(text)) {
            return Optional.of(all(ends.get(text), count));
        }
        if (endsOfUnits.containsKey(text)) {
            return Optional.of(all(endsOfUnits.get(text), count));
        }
        return byKind(text, count);
    }

    private Optional<Found> byKind(String text, int count) {
        List<Placement> practicals =
                things.stream().filter(p -> p.kind() == PlacementKind.PRACTICAL).toList();
        if (text.equals("practicals") && !practicals.isEmpty()) {
            return Optional.of(new Found(practicals, false, count));
        }
        if (text.equals("practical") && !practicals.isEmpty()) {
            return Optional.of(all(practicals, count));
        }
        List<Placement> marks =
                things.stream().filter(p -> p.kind() == PlacementKind.MARK).toList();
        if (PRONOUNS.contains(text) && !marks.isEmpty()) {
            return Optional.of(all(marks, count));
        }
        List<Placement> role = things.stream()
                .filter(p -> p.kind().isLight() && p.role().label().equals(text))
                .toList();
        return role.isEmpty() ? Optional.empty() : Optional.of(all(role, count));
    }

    /** <em>Key light</em>: a light, by its name; when that is no light, it and what has the word in its name are asked. */
    private Optional<Found> lightCalled(String name, int count) {
        Collection<Placement> called = full.getOrDefault(name, List.of());
        if (called.isEmpty()) {
            called = ends.getOrDefault(name, Set.of()).stream()
                    .filter(p -> p.kind().isLight())
                    .toList();
        }
        if (called.isEmpty()) {
            called = units.getOrDefault(name, List.of());
        }
        if (called.isEmpty()) {
            return Optional.empty();
        }
        if (called.size() > 1 || called.iterator().next().kind().isLight()) {
            return Optional.of(all(called, count));
        }
        Set<Placement> both = new LinkedHashSet<>(called);
        both.addAll(having(name));
        return Optional.of(new Found(List.copyOf(both), true, count));
    }

    /** Things that have a word in their names. */
    List<Placement> having(String word) {
        return things.stream()
                .filter(p -> Arrays.asList(key(p.name()).split(" ")).contains(word))
                .toList();
    }

    private static Found all(Collection<Placement> found, int count) {
        return new Found(List.copyOf(found), found.size() > 1, count);
    }

    /**
     * What a word that means nothing may have been meant as: the only name one slip away from it, or, when it is short, all of them to be
     * asked.
     *
     * @param known words that mean something and are never taken for misspelt
     */
    Optional<Found> misspelt(Words words, Set<String> known) {
        for (int count = 2; count > 0; count--) {
            Optional<String> text = text(words, count);
            if (text.isEmpty() || (known.contains(words.peek()) && (count == 1 || known.contains(words.peek(1))))) {
                continue;
            }
            String said = text.get();
            Set<Placement> near = new LinkedHashSet<>();
            for (Map<String, ? extends Collection<Placement>> names : List.of(full, units, groups, ends)) {
                for (Map.Entry<String, ? extends Collection<Placement>> name : names.entrySet()) {
                    if (Slips.isOneApart(said, name.getKey())) {
                        near.addAll(name.getValue());
                    }
                }
            }
            if (!near.isEmpty()) {
                boolean one = near.size() == 1
                        || groups.values().stream().anyMatch(g -> Set.copyOf(g).equals(near));
                boolean sure = one && said.length() >= LONG_ENOUGH;
                return Optional.of(new Found(List.copyOf(near), !sure, count));
            }
        }
        return Optional.empty();
    }

    /** Every word of every name. */
    Set<String> vocabulary() {
        Set<String> all = new LinkedHashSet<>();
        for (Map<String, ?> names : List.of(full, units, groups)) {
            names.keySet().forEach(n -> all.addAll(Arrays.asList(n.split(" "))));
        }
        return all;
    }

    /** Names that are near a word, best first. */
    List<String> near(String word) {
        return Slips.nearest(
                word,
                things.stream().map(p -> p.name().toLowerCase(Locale.ROOT)).toList());
    }

    List<Placement> things() {
        return things;
    }
}
