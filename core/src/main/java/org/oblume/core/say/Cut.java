package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Cuts a line at its names: what is said before and behind each group of them. */
final class Cut {

    /** Ends what stands before a name: <em>half a stop hotter on</em> the rim. */
    private static final Set<String> LINKS =
            Set.of("on", "onto", "of", "to", "for", "from", "over", "before", "at", "off", "through");
    /** Links that say nothing more; <em>off</em> does. */
    private static final Set<String> BARE_LINKS =
            Set.of("on", "onto", "of", "to", "for", "from", "over", "before", "at", "through");

    private static final Set<String> SWITCHING = Set.of("turn", "switch", "back", "bring");
    private static final Set<String> VERBS = Set.of(
            "kill", "lose", "save", "no", "drop", "raise", "lift", "lower", "warm", "cool", "aim", "point", "pan",
            "tilt", "swing", "push", "walk", "bring", "take", "gel", "turn", "switch", "pull", "spot", "flood", "widen",
            "tighten", "dim", "knock", "move", "slide", "double", "halve", "strike", "hold", "up", "down", "on", "off",
            "out", "in", "back", "round", "put", "set", "make", "have", "give", "get", "strip", "rotate");
    private static final Set<String> STARTS = Set.of(
            "kill", "lose", "save", "raise", "lift", "lower", "warm", "cool", "aim", "point", "pan", "tilt", "push",
            "walk", "bring", "gel", "no", "swap", "turn", "switch", "put", "hang", "add", "move", "take", "strip",
            "knock", "halve", "double");

    private final Words words;

    Cut(Words words) {
        this.words = words;
    }

    /**
     * What is said of names.
     *
     * @param head before them, without the word that links the two
     * @param tail behind them
     */
    record Part(Subjects.Group group, List<Words.Word> head, List<Words.Word> tail) {}

    List<Part> parts(List<Subjects.Group> groups) {
        List<Part> parts = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < groups.size(); i++) {
            Subjects.Group group = groups.get(i);
            boolean last = i + 1 == groups.size();
            int to = last
                    ? words.all().size()
                    : split(group, from, groups.get(i + 1).from());
            parts.add(new Part(
                    group,
                    head(words.all().subList(from, group.from())),
                    words.all().subList(group.to(), to)));
            from = to;
        }
        return parts;
    }

    /** Whether a clause can begin with it, so that a new one may. */
    static boolean isAVerb(Words.Word word) {
        return STARTS.contains(word.text());
    }

    /** What is said before a name, without the word that links them. */
    private static List<Words.Word> head(List<Words.Word> before) {
        List<Words.Word> head = new ArrayList<>(before);
        while (!head.isEmpty() && isFiller(head.get(head.size() - 1))) {
            if (head.get(head.size() - 1).text().equals("of")) {
                break;
            }
            head.remove(head.size() - 1);
        }
        int last = head.size() - 1;
        if (last > 0
                && BARE_LINKS.contains(head.get(last).text())
                && !(head.get(last).text().equals("on")
                        && SWITCHING.contains(head.get(last - 1).text()))) {
            head.remove(last);
        }
        return head;
    }

    static boolean isFiller(Words.Word word) {
        return word.isBreak() || Speech.FILLERS.contains(word.text());
    }

    static boolean saysNothing(List<Words.Word> part) {
        return part.stream().allMatch(Cut::isFiller);
    }

    /** Where, between two names, what is said of the first ends and what is said before the second begins. */
    private int split(Subjects.Group group, int from, int until) {
        List<Words.Word> between = words.all().subList(group.to(), until);
        for (int i = between.size() - 1; i >= 0; i--) {
            Words.Word word = between.get(i);
            if ((word.isBreak() || word.text().equals("and") || word.text().equals("then"))
                    && leads(between.subList(i + 1, between.size()))) {
                return group.to() + i + 1;
            }
        }
        boolean first = !saysNothing(words.all().subList(from, group.from()));
        for (int i = 0; i < between.size(); i++) {
            List<Words.Word> rest = between.subList(i, between.size());
            if (STARTS.contains(between.get(i).text())
                    && leads(rest)
                    && (first || !saysNothing(between.subList(0, i)))) {
                return group.to() + i;
            }
        }
        return until;
    }

    /** Whether words lead over to the name behind them. */
    private static boolean leads(List<Words.Word> part) {
        List<Words.Word> said =
                part.stream().filter(w -> !isFiller(w) || w.text().equals("of")).toList();
        if (said.isEmpty()) {
            return true;
        }
        boolean linked =
                said.size() > 1 && LINKS.contains(said.get(said.size() - 1).text());
        return linked || said.stream().allMatch(w -> VERBS.contains(w.text()));
    }
}
