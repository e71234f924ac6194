package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;

/** Finds in a line what it is about: the names that something is said of, apart from those that are only aimed at or measured from. */
final class Subjects {

    private static final Set<String> BEFORE_A_MARK =
            Set.of("on", "onto", "at", "to", "of", "towards", "toward", "from");
    private static final Set<String> BEFORE_A_LANDMARK = Set.of("from", "off", "at", "to", "of");
    private static final Set<String> BEFORE_A_GEL =
            Set.of("gel", "add", "hang", "through", "for", "instead", "with", "another", "lose", "swap", "change");
    private static final Set<String> BESIDE_ANOTHER =
            Set.of("half", "double", "twice", "than", "as", "third", "quarter");
    private static final Set<String> BETWEEN_NAMES =
            Set.of(",", ";", "and", "the", "a", "both", "with", "&", "my", "our");
    private static final Set<String> ARTICLES = Set.of("the", "a", "an", "my", "our", "some");
    private static final String[] ALL = {
        "all the lights",
        "all of the lights",
        "all lights",
        "every light",
        "everything else",
        "everything",
        "the lot",
        "all of it",
        "lights",
        "all"
    };
    private static final String[] EXCEPT = {"but", "except for", "except", "apart from", "bar"};

    private final Words words;
    private final Speech speech;
    private final Draft draft;
    private final boolean about;
    private final List<Subject> found = new ArrayList<>();

    /**
     * One name in the line.
     *
     * @param from index of its first word
     * @param to index after its last
     * @param things that it is of
     * @param asked whether one of them has to be chosen
     */
    record Subject(int from, int to, List<Placement> things, boolean asked) {

        Subject {
            things = List.copyOf(things);
        }
    }

    /** Names that share what is said of them. */
    record Group(List<Subject> subjects) {

        Group {
            subjects = List.copyOf(subjects);
        }

        int from() {
            return subjects.get(0).from;
        }

        int to() {
            return subjects.get(subjects.size() - 1).to;
        }
    }

    /** @param about whether something is selected that a line without a name is about */
    Subjects(Words words, Speech speech, Draft draft, boolean about) {
        this.words = words;
        this.speech = speech;
        this.draft = draft;
        this.about = about;
    }

    List<Group> groups() {
        words.back(0);
        while (!words.done()) {
            int start = words.at();
            if (!everything() && !except() && !protectedPhrase() && !name()) {
                words.back(start + 1);
            }
        }
        words.back(0);
        List<Group> groups = new ArrayList<>();
        List<Subject> open = new ArrayList<>();
        for (Subject subject : found) {
            if (!open.isEmpty() && !joined(open.get(open.size() - 1).to, subject.from)) {
                groups.add(new Group(open));
                open.clear();
            }
            open.add(subject);
        }
        if (!open.isEmpty()) {
            groups.add(new Group(open));
        }
        return groups;
    }

    private boolean joined(int from, int to) {
        return words.all().subList(from, to).stream().allMatch(w -> BETWEEN_NAMES.contains(w.text()));
    }

    /** The word before this place, articles passed over; empty at the beginning. */
    private String before(int index) {
        int i = index - 1;
        while (i >= 0 && ARTICLES.contains(words.all().get(i).text())) {
            i--;
        }
        return i < 0 ? "" : words.all().get(i).text();
    }

    private boolean everything() {
        int from = words.at();
        if (!words.takeAny(ALL)) {
            return false;
        }
        List<Placement> lit = lit();
        if (lit.isEmpty()) {
            words.back(from);
            return false;
        }
        found.add(new Subject(from, words.at(), lit, false));
        return true;
    }

    /** Every light that is on. */
    List<Placement> lit() {
        return draft.scene().placements().stream()
                .filter(p -> p.kind().isLight() && draft.state().isOn(p.key()))
                .toList();
    }

    /** <em>Except the key and the tubes</em>: leaves them out of what was said of all. */
    private boolean except() {
        int from = words.at();
        if (found.isEmpty() || !words.takeAny(EXCEPT)) {
            return false;
        }
        List<Placement> left = new ArrayList<>();
        int end = words.at();
        while (!words.done()) {
            words.pass("the", "and", ",", "a", "for", "both", "my");
            Optional<Names.Found> name = speech.names().ahead(words);
            if (name.isEmpty() || name.get().asked()) {
                break;
            }
            left.addAll(name.get().things());
            words.skip(name.get().words());
            end = words.at();
        }
        if (left.isEmpty()) {
            words.back(from);
            return false;
        }
        words.back(end);
        Subject last = found.remove(found.size() - 1);
        List<Placement> rest =
                last.things.stream().filter(p -> !left.contains(p)).toList();
        boolean follows = last.to == from;
        found.add(new Subject(last.from, follows ? end : last.to, rest, last.asked));
        if (!follows) {
            words.dropped(from, end);
        }
        return true;
    }

    /** What holds a word of a name and is none: a gel, an amount, a side, a landmark. */
    private boolean protectedPhrase() {
        int from = words.at();
        if (words.peek().equals("like")
                || words.peek().equals("faulty")
                || words.peek().equals("bad")) {
            boolean like = words.take("like");
            words.article();
            int noun = words.at();
            words.pass("faulty", "bad", "broken", "tube", "lamp", "bulb", "light", "candle", "fire", "screen");
            if (words.at() > noun && (like || words.at() > from + 1)) {
                return true;
            }
            words.back(from);
        }
        if (words.peek().equals("a")
                && words.peek(1).equals("hair")
                && !words.peek(2).matches("light|lamp|head")) {
            words.skip(2);
            return true;
        }
        String before = before(from);
        if (words.peek().equals("camera")
                && (words.peek(1).matches("left|right") || before.matches("towards|toward|from|to"))) {
            words.skip(1);
            return true;
        }
        int named = speech.names().ahead(words).map(Names.Found::words).orElse(0);
        int hung = speech.stock().ahead(words).map(StockNames.Found::words).orElse(0);
        if (hung > named || (hung > 0 && BEFORE_A_GEL.contains(before))) {
            words.skip(hung);
            return true;
        }
        if (BEFORE_A_LANDMARK.contains(before) && !ARTICLES.contains(words.peek())) {
            int here = words.at();
            if (speech.landmark(words).isPresent() && words.at() - here >= named) {
                return true;
            }
            words.back(here);
        }
        return false;
    }

    private boolean name() {
        int from = words.at();
        Optional<Names.Found> name = speech.names().ahead(words);
        String second = words.peek(1);
        if (name.isPresent()
                && name.get().words() == 1
                && second.matches("\\p{L}{4,}")
                && !speech.vocabulary().contains(second)) {
            name = speech.names()
                    .misspelt(words, speech.vocabulary())
                    .filter(f -> f.words() == 2)
                    .or(() -> speech.names().ahead(words));
        }
        if (name.isEmpty()
                && !words.all().get(from).isBreak()
                && !speech.vocabulary().contains(words.peek())
                && words.peek().matches("\\p{L}+")) {
            name = speech.names().misspelt(words, speech.vocabulary());
        } else if (name.isEmpty()) {
            name = speech.names().misspelt(words, speech.vocabulary()).filter(f -> f.words() == 2);
        }
        if (name.isEmpty() || isAWay(name.get())) {
            return false;
        }
        words.skip(name.get().words());
        String before = before(from);
        boolean something = about || !found.isEmpty();
        boolean marks = name.get().things().stream().allMatch(p -> p.kind() == PlacementKind.MARK);
        boolean aimedAt = marks && something && BEFORE_A_MARK.contains(before);
        boolean beside = !found.isEmpty() && (besideAnother(from, before) || (before.equals("of") && besideOf(from)));
        boolean sent = !found.isEmpty()
                && words.all().subList(found.get(found.size() - 1).to, from).stream()
                        .anyMatch(w -> w.text().matches("sends?"));
        if (!aimedAt && !beside && !sent) {
            found.add(new Subject(
                    from, words.at(), name.get().things(), name.get().asked()));
        }
        return true;
    }

    /** <em>To half the key</em>, but not <em>down a third, the key up</em>. */
    private boolean besideAnother(int from, String before) {
        int half = from - 1;
        while (half > 0 && ARTICLES.contains(words.all().get(half).text())) {
            half--;
        }
        boolean counted = half > 0 && words.all().get(half - 1).text().matches("a|an|up|down|by|and|one|two|off");
        return BESIDE_ANOTHER.contains(before) && half < from - 1 && !counted;
    }

    private boolean besideOf(int from) {
        int of = from - 1;
        while (of > 0 && !words.all().get(of).text().equals("of")) {
            of--;
        }
        return of > 0 && words.all().get(of - 1).text().matches("half|third|quarter|level");
    }

    /** <em>Back</em> is a role at the beginning of a clause or behind <em>the</em>, and a way to go elsewhere. */
    private boolean isAWay(Names.Found name) {
        if (name.words() > 1
                || !words.peek().equals("back")
                || speech.names().having("back").stream().anyMatch(p -> p.name().equalsIgnoreCase("back"))) {
            return false;
        }
        boolean article =
                words.at() > 0 && words.all().get(words.at() - 1).text().equals("the");
        boolean begins = words.at() == 0 || words.all().get(words.at() - 1).isBreak();
        return !article
                && (!begins
                        || words.peek(1).isEmpty()
                        || words.peek(1).matches("off|out|to|on|in|a|an|half|\\d.*|one|two|three|four|five|six|up"));
    }
}
