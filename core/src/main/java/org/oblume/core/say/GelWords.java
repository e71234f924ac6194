package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifier.Cover;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.units.Refusal;

/** Gels, cloths, nets and grids before a light: hung, taken off, swapped, on a frame, over a part of the front. */
final class GelWords implements PhraseParser {

    private static final double USUAL_FRAME_M = 0.8;
    private static final String[] OFF = {
        "lose", "no", "drop", "minus", "pull", "remove", "without", "kill", "strip", "take", "-"
    };
    private static final Set<String> HANG = Set.of(
            "add", "hang", "put", "through", "in", "with", "plus", "gel", "another", "second", "on", "+", "use",
            "come");
    private static final Set<String> AGAIN = Set.of("another", "second");

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.MODIFIERS)) {
            return false;
        }
        Front front = new Front(clause);
        return PhraseParser.any(
                clause,
                c -> front.bare(),
                c -> front.swapped(),
                c -> front.takenOff(),
                c -> front.framedOnly(),
                c -> front.hung());
    }

    /** Whether words from here on take something off or swap it, so that the light need not be named. */
    static boolean takesOff(Words words, StockNames stock) {
        int start = words.at();
        boolean off = words.take(OFF) || words.take("swap", "change", "replace", "switch");
        words.pass("off", "out").article();
        boolean named = stock.ahead(words).isPresent();
        if (!off && named) {
            words.skip(stock.ahead(words).map(StockNames.Found::words).orElse(0));
            off = words.take("off", "out", "away");
        }
        words.back(start);
        return off && named;
    }

    /** One reading of what is before one light. */
    private static final class Front {

        private final Clause clause;
        private final Words words;
        private final StockNames stock;
        private final Modifiers worn;

        Front(Clause clause) {
            this.clause = clause;
            this.words = clause.words();
            this.stock = clause.speech().stock();
            this.worn =
                    clause.draft().value(clause.about().key(), Modifiers.class).orElse(Modifiers.NONE);
        }

        private boolean bare() {
            if (!words.takeAny(
                    "strip the gels off",
                    "clean the gels off",
                    "strip the gels",
                    "strip gels off",
                    "strip it",
                    "clean",
                    "bare")) {
                return false;
            }
            keep(List.of());
            return true;
        }

        private List<String> names() {
            return worn.items().stream().map(Modifier::name).toList();
        }

        private void keep(List<Modifier> items) {
            clause.draft().put(clause.about(), new Modifiers(items));
        }

        /** {@code lose the grid}, <em>take the half cto off</em>. */
        private boolean takenOff() {
            boolean take = words.peek().equals("take") || words.peek().equals("pull");
            if (!words.take(OFF)) {
                return false;
            }
            int minus = words.at() - 1;
            if (words.all().get(minus).text().equals("minus")) {
                words.back(minus);
                Optional<StockNames.Found> gel = stock.ahead(words);
                if (gel.isPresent() && gel.get().words() > 1) {
                    return false;
                }
                words.skip(1);
            }
            boolean said = words.take("off", "out");
            words.article();
            int from = words.at();
            Optional<StockNames.Found> found = stock.among(words, names());
            if (found.isEmpty() && stock.ahead(words).isEmpty()) {
                return false;
            }
            int index = found.isPresent()
                    ? one(found.get(), from)
                    : notWorn(stock.ahead(words).orElseThrow());
            said |= words.take("off", "out", "away");
            words.take("of", "from");
            if (take && !said) {
                throw new Refusal("On or off? Say it: take the %s off."
                        .formatted(worn.items().get(index).name()));
            }
            takeOff(index);
            return true;
        }

        private void takeOff(int index) {
            List<Modifier> left = new ArrayList<>(worn.items());
            left.remove(index);
            keep(left);
        }

        /** Which of what is worn; taken from the words. */
        private int one(StockNames.Found found, int from) {
            words.skip(found.words());
            if (Set.copyOf(found.names()).size() > 1) {
                throw clause.ask(from, "Which of them comes off?", found.names());
            }
            return names().lastIndexOf(found.name());
        }

        private int notWorn(StockNames.Found found) {
            throw new Refusal("%s has no %s on: %s."
                    .formatted(
                            clause.name(),
                            found.name(),
                            worn.items().isEmpty() ? "nothing hangs there" : "it wears " + String.join(", ", names())));
        }

        /** <em>Swap the half cto for a quarter</em>. */
        private boolean swapped() {
            if (!words.take("swap", "change", "replace", "switch")) {
                return false;
            }
            words.article();
            int from = words.at();
            Optional<StockNames.Found> old = stock.among(words, names());
            if (old.isEmpty()) {
                Optional<StockNames.Found> known = stock.ahead(words);
                if (known.isEmpty()) {
                    return false;
                }
                notWorn(known.get());
            }
            int index = one(old.orElseThrow(), from);
            if (!words.take("for", "to", "with", "by")) {
                throw new Refusal("Say what comes in its place: swap half CTO for quarter CTO.");
            }
            words.article();
            keep(instead(index, other(names().get(index))));
            return true;
        }

        private StockItem other(String old) {
            int from = words.at();
            Optional<StockNames.Found> found = stock.ahead(words);
            if (found.isPresent()) {
                words.skip(found.get().words());
                return exact(found.get(), from);
            }
            Optional<StockItem> like = words.done() ? Optional.empty() : stock.like(old, words.peek());
            if (like.isEmpty()) {
                throw new Refusal("Say what comes in its place, by its name in the stock.");
            }
            words.skip(1);
            return like.get();
        }

        private List<Modifier> instead(int index, StockItem item) {
            Modifier old = worn.items().get(index);
            Modifier fresh = Modifier.of(item);
            if (old.frameWidthM() != null && old.frameDistanceM() != null) {
                fresh = fresh.framed(old.frameWidthM(), old.frameDistanceM());
            }
            List<Modifier> items = new ArrayList<>(worn.items());
            items.set(index, fresh.covering(old.covers(), old.share()));
            return items;
        }

        private StockItem exact(StockNames.Found found, int from) {
            if (!found.exact()) {
                throw clause.ask(from, "Which one?", found.names());
            }
            return stock.named(found.name()).orElseThrow();
        }

        /** A frame for the cloth that hangs already: {@code frame 1.2 m at 60 cm}. */
        private boolean framedOnly() {
            words.take("on");
            words.article();
            Optional<double[]> frame = frame();
            if (frame.isEmpty()) {
                return false;
            }
            int cloth = -1;
            for (int i = 0; i < worn.items().size(); i++) {
                cloth = worn.items().get(i).softens()
                                || (cloth < 0 && i == worn.items().size() - 1)
                        ? i
                        : cloth;
            }
            if (cloth < 0) {
                throw new Refusal("%s has nothing to hang on a frame: name the cloth, such as muslin, bleached."
                        .formatted(clause.name()));
            }
            List<Modifier> items = new ArrayList<>(worn.items());
            Modifier m = items.get(cloth);
            double kept = frame.get()[1] > 0
                    ? frame.get()[1]
                    : m.frameDistanceM() == null ? USUAL_FRAME_M : m.frameDistanceM();
            items.set(cloth, m.framed(frame.get()[0], kept));
            keep(items);
            return true;
        }

        /** {@code frame 1.2 m at 80 cm}, <em>four foot frame</em>: its width and its distance, 0 when that is not said; nothing taken otherwise. */
        private Optional<double[]> frame() {
            int start = words.at();
            Optional<Double> wide = Figures.length(words);
            if (!words.take("frame")) {
                words.back(start);
                return Optional.empty();
            }
            if (wide.isEmpty()) {
                words.pass("of");
                wide = Figures.length(words);
            }
            if (wide.isEmpty()) {
                throw new Refusal("Say how wide the frame is: frame 1.2 m.");
            }
            return Optional.of(new double[] {wide.get(), off()});
        }

        /** How far from the lens; 0 when it is not said. */
        private double off() {
            int start = words.at();
            words.take("at");
            Optional<Double> metres = Figures.length(words);
            if (metres.isPresent()) {
                words.takeAny("off the lens", "from the lens", "off", "away", "out");
                return metres.get();
            }
            words.back(start);
            return 0;
        }

        private boolean hung() {
            boolean again = false;
            boolean verb = false;
            while (words.isNext(HANG) || words.isNext(Set.of("a", "an", "the", "some"))) {
                if (words.peek().equals("plus")
                        && stock.ahead(words).filter(f -> f.words() > 1).isPresent()) {
                    break;
                }
                again |= words.isNext(AGAIN);
                verb |= words.isNext(HANG);
                words.skip(1);
            }
            Optional<double[]> frame = frame();
            if (frame.isPresent()) {
                words.pass("of", "with", "a");
            }
            int from = words.at();
            boolean half = false;
            Optional<StockNames.Found> found = stock.ahead(words);
            if (found.isEmpty() && words.take("half", "½")) {
                words.article();
                half = true;
                found = stock.ahead(words);
            }
            if (found.isEmpty()) {
                if (verb
                        && words.at() > 0
                        && words.all().get(words.at() - 1).text().equals("gel")) {
                    List<String> having = stock.having(words.peek());
                    throw new Refusal("Say which gel, by its name in the stock%s."
                            .formatted(having.isEmpty() ? "" : ": " + String.join(", ", having)));
                }
                return false;
            }
            words.skip(found.get().words());
            if (!found.get().exact() && words.peek().matches("[\\d.]+")) {
                throw new Refusal("Density or stops? There are: %s."
                        .formatted(String.join(", ", found.get().names())));
            }
            if (words.take("out", "off", "away")) {
                return off(from);
            }
            words.takeAny("in front of", "in front");
            StockItem item = exact(found.get(), from);
            if (words.takePhrase("instead of") || words.takePhrase("in place of")) {
                words.article();
                int at = words.at();
                StockNames.Found old = stock.among(words, names()).orElseGet(() -> stock.ahead(words)
                        .orElseThrow(() -> new Refusal("%s wears nothing of that name.".formatted(clause.name()))));
                if (!names().contains(old.name())) {
                    notWorn(old);
                }
                keep(instead(one(old, at), item));
                return true;
            }
            if (names().contains(item.name()) && !again) {
                throw new Refusal("%s has %s on already: say another %s to double it."
                        .formatted(clause.name(), item.name(), item.name()));
            }
            Modifier fresh = Modifier.of(item);
            Optional<double[]> behind = frame.isPresent() ? Optional.empty() : frameBehind();
            Optional<double[]> hangs = frame.or(() -> behind);
            if (hangs.isPresent()) {
                double distance = hangs.get()[1] > 0 ? hangs.get()[1] : off();
                fresh = fresh.framed(hangs.get()[0], distance > 0 ? distance : USUAL_FRAME_M);
            }
            fresh = fresh.covering(side(half, from), null);
            if (words.peek().matches("in|into") && words.peek(1).matches("|[,;]")) {
                words.skip(1);
            }
            List<Modifier> items = new ArrayList<>(worn.items());
            items.add(fresh);
            keep(items);
            return true;
        }

        private Optional<double[]> frameBehind() {
            int start = words.at();
            words.take("on", "in");
            words.article();
            Optional<double[]> frame = frame();
            if (frame.isEmpty()) {
                words.back(start);
            }
            return frame;
        }

        /** <em>Half cto out</em>: the same words looked for among what is worn. */
        private boolean off(int from) {
            int end = words.at();
            words.back(from);
            Optional<StockNames.Found> found = stock.among(words, names());
            if (found.isEmpty()) {
                notWorn(stock.ahead(words).orElseThrow());
            }
            int index = one(found.orElseThrow(), from);
            words.back(end);
            words.take("of", "from");
            takeOff(index);
            return true;
        }

        /** <em>In the bottom</em>: the part of the front that a half covers. */
        private @Nullable Cover side(boolean half, int from) {
            int start = words.at();
            words.take("in", "on", "over", "at", "across");
            words.article();
            Cover side = words.take("bottom", "lower")
                    ? Cover.LOWER
                    : words.take("top", "upper")
                            ? Cover.UPPER
                            : words.take("left") ? Cover.LEFT : words.take("right") ? Cover.RIGHT : null;
            if (side == null) {
                words.back(start);
                if (half) {
                    String said = words.all().subList(from, words.at()).stream()
                            .map(Words.Word::text)
                            .collect(Collectors.joining(" "));
                    throw Clause.ask(
                            words,
                            from,
                            "Which half of the front?",
                            List.of("LOWER", "UPPER", "LEFT", "RIGHT"),
                            Stream.of("bottom", "top", "left", "right")
                                    .map(s -> said + " in the " + s)
                                    .toList());
                }
                return null;
            }
            words.take("half", "part");
            return side;
        }
    }
}
