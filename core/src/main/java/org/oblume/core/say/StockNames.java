package org.oblume.core.say;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.filter.StockItem;

/** The names of what can be hung before a light: in any order of their words, with <em>cloth</em> left out, with numbers spoken. */
final class StockNames {

    private static final int LONGEST = 6;
    /** Words that say how much or which of a family, and do not name one. */
    private static final Set<String> SIZES = Set.of(
            "eighth",
            "quarter",
            "half",
            "full",
            "single",
            "double",
            "light",
            "heavy",
            "bleached",
            "unbleached",
            "cloth",
            "plus",
            "minus",
            "lamp",
            "blue",
            "coat",
            "ice");

    private static final Set<String> LEFT_OUT = Set.of("cloth", "degree");
    private static final Map<String, String> SAID_AS = Map.of(
            "1/8", "eighth", "⅛", "eighth", "1/4", "quarter", "¼", "quarter", "1/2", "half", "½", "half", "degrees",
            "degree", "°", "degree", "+", "plus");
    /** Densities as they are called: <em>nd six</em>. */
    private static final Set<Double> DENSITIES = Set.of(3.0, 6.0, 9.0, 12.0);

    private final List<StockItem> items;
    private final List<String> names;
    private final Set<String> vocabulary;
    /** Words of names that were asked for, so that each is cut once. */
    private final Map<String, Set<String>> known = new HashMap<>();

    StockNames(Collection<StockItem> stock) {
        this.items = stock.stream().filter(StockItem::isFilter).toList();
        this.names = items.stream().map(StockItem::name).toList();
        this.vocabulary = wordsOf(names);
    }

    /**
     * Names that words fit.
     *
     * @param exact whether they are the whole name of only one
     * @param words how many they are
     */
    record Found(List<String> names, boolean exact, int words) {

        String name() {
            return names.get(0);
        }
    }

    /** The longest name of a stock item from here on; nothing is taken. */
    Optional<Found> ahead(Words words) {
        return among(words, names, vocabulary);
    }

    /** The longest of these names from here on; a part of a name counts too. Nothing is taken. */
    Optional<Found> among(Words words, List<String> of) {
        return among(words, of, wordsOf(of));
    }

    private Optional<Found> among(Words words, List<String> of, Set<String> inNames) {
        for (int count = run(words, inNames); count > 0; count--) {
            Optional<Set<String>> said = said(words, count);
            if (said.isEmpty()) {
                continue;
            }
            int taken = count;
            List<String> whole =
                    of.stream().filter(i -> isNameOf(said.get(), i)).toList();
            if (!whole.isEmpty()) {
                return Optional.of(new Found(whole, whole.size() == 1, taken));
            }
            List<String> parts =
                    of.stream().filter(i -> isPartOf(said.get(), i)).toList();
            if (!parts.isEmpty()) {
                return Optional.of(new Found(parts, false, taken));
            }
        }
        return Optional.empty();
    }

    private Set<String> wordsOf(List<String> of) {
        Set<String> words = new HashSet<>(SIZES);
        of.forEach(name -> words.addAll(wordsOf(name)));
        return words;
    }

    /** How many words from here on can be part of a name of which these are the words. */
    private static int run(Words words, Set<String> inNames) {
        int count = 0;
        while (count < LONGEST) {
            String word = words.peek(count);
            String said = SAID_AS.getOrDefault(word, word);
            if (!inNames.contains(said) && !LEFT_OUT.contains(said) && !Figures.canBegin(word)) {
                break;
            }
            count++;
        }
        return count;
    }

    /** Of the same family, in another strength: a quarter, where half CTO hangs. */
    Optional<StockItem> like(String item, String strength) {
        Set<String> wanted = new HashSet<>(wordsOf(item));
        wanted.removeAll(Set.of("eighth", "quarter", "half", "full", "single", "double", "light", "heavy"));
        wanted.add(SAID_AS.getOrDefault(strength, strength));
        return items.stream().filter(i -> wordsOf(i.name()).equals(wanted)).findFirst();
    }

    Optional<StockItem> named(String name) {
        return items.stream().filter(i -> i.name().equalsIgnoreCase(name)).findFirst();
    }

    /** Every word of every name, for telling a misspelt name from what means something. */
    Set<String> vocabulary() {
        return vocabulary;
    }

    private boolean isNameOf(Set<String> said, String item) {
        Set<String> name = new HashSet<>(wordsOf(item));
        if (name.equals(said)) {
            return true;
        }
        Set<String> rest = new HashSet<>(said);
        name.removeAll(LEFT_OUT);
        rest.removeAll(LEFT_OUT);
        return name.equals(rest);
    }

    private boolean isPartOf(Set<String> said, String item) {
        Set<String> name = wordsOf(item);
        Set<String> rest = new HashSet<>(said);
        rest.removeAll(LEFT_OUT);
        boolean names = rest.stream().anyMatch(w -> !SIZES.contains(w) && !Character.isDigit(w.charAt(0)));
        boolean green = rest.equals(Set.of("green"));
        return names && !green && name.containsAll(rest);
    }

    /** {@code Grid 40°}: grid, 40, degree. */
    private Set<String> wordsOf(String item) {
        return known.computeIfAbsent(item, StockNames::cut);
    }

    private static Set<String> cut(String item) {
        Set<String> words = new LinkedHashSet<>();
        Words.of(item).all().stream()
                .filter(w -> !w.isBreak())
                .forEach(w -> words.add(SAID_AS.getOrDefault(w.text(), w.text())));
        return Set.copyOf(words);
    }

    /** So many words from here on as they stand in a name, numbers in digits; empty when they cannot be one. */
    private static Optional<Set<String>> said(Words words, int count) {
        int start = words.at();
        List<String> said = new ArrayList<>();
        while (words.at() < start + count) {
            if (words.done() || words.all().get(words.at()).isBreak()) {
                words.back(start);
                return Optional.empty();
            }
            String word = words.peek();
            String known = SAID_AS.getOrDefault(word, word);
            if (SIZES.contains(known) || known.equals("degree")) {
                said.add(known);
                words.skip(1);
                continue;
            }
            int here = words.at();
            Optional<Figures.Counted> number = Figures.number(words);
            if (number.isPresent() && words.at() <= start + count) {
                said.add(print(number.get().value()));
            } else {
                words.back(here);
                words.skip(1);
                said.add(word);
            }
        }
        boolean fits = words.at() == start + count;
        words.back(start);
        if (!fits || said.size() != new HashSet<>(said).size()) {
            return Optional.empty();
        }
        return Optional.of(density(said));
    }

    private static Set<String> density(List<String> said) {
        Set<String> words = new LinkedHashSet<>(said);
        if (words.contains("nd")) {
            for (double tenths : DENSITIES) {
                if (words.remove(print(tenths))) {
                    words.add(print(tenths / 10));
                }
            }
        }
        return words;
    }

    private static String print(double value) {
        return value == Math.rint(value)
                ? String.valueOf((long) value)
                : String.valueOf(Math.round(value * 1000) / 1000.0);
    }

    /** Names that are near a word, best first. */
    List<String> near(String word) {
        return Slips.nearest(
                word, names.stream().map(n -> n.toLowerCase(Locale.ROOT)).toList());
    }

    /** Names that have a word in them. */
    List<String> having(String word) {
        return names.stream().filter(n -> wordsOf(n).contains(word)).toList();
    }
}
