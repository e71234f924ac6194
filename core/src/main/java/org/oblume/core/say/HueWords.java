package org.oblume.core.say;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.network.Mode;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Piece;
import org.oblume.core.units.Refusal;

/** A hue that a head mixes itself: <em>blue at 60 percent saturation</em>, {@code hue 220}, <em>back to white</em>. */
final class HueWords implements PhraseParser {

    private static final double FULL = 100;
    private static final Map<String, Integer> HUES = Map.of(
            "red", 0, "orange", 30, "amber", 40, "yellow", 60, "green", 120, "cyan", 180, "blue", 240, "magenta", 300);
    private static final Set<String> OTHERS = Set.of(
            "pink",
            "purple",
            "violet",
            "teal",
            "turquoise",
            "indigo",
            "gold",
            "lime",
            "lavender",
            "peach",
            "salmon",
            "rose",
            "aqua",
            "brown",
            "mauve",
            "crimson",
            "scarlet");

    @Override
    public boolean read(Clause clause) {
        Words words = clause.words();
        words.pass("to", "go", "in", "at", "colour", "color", "it");
        String word = words.peek();
        double hue;
        if (words.takeAny("back to white", "white")) {
            require(clause, "white");
            clause.draft().put(clause.about(), Colour.WHITE);
            return true;
        }
        if (words.take("hue")) {
            words.pass("to", "at", "of");
            hue = Figures.amount(words)
                    .filter(a -> a.is(Amount.Unit.BARE) || a.is(Amount.Unit.DEGREES))
                    .map(Amount::value)
                    .orElseThrow(() -> new Refusal("Say which hue: 0 to 360 degrees, 0 red, 120 green, 240 blue."));
        } else if (HUES.containsKey(word)) {
            words.skip(1);
            hue = HUES.get(word);
        } else if (OTHERS.contains(word)) {
            require(clause, word);
            throw new Refusal(
                    "“%s” is no hue with a place of its own: say hue and its degrees, hue 300.".formatted(word));
        } else {
            return false;
        }
        require(clause, word);
        clause.draft().put(clause.about(), new Colour(hue, saturation(words)));
        return true;
    }

    private static double saturation(Words words) {
        int start = words.at();
        words.pass("at", "with", ",");
        boolean first = words.take("saturation");
        words.pass("at", "of", "to");
        Optional<Amount> amount = Figures.amount(words);
        boolean percent = amount.isPresent()
                && (amount.get().is(Amount.Unit.PERCENT) || amount.get().is(Amount.Unit.BARE));
        if (percent && (first || words.take("saturation", "saturated"))) {
            return amount.get().value();
        }
        words.back(start);
        return FULL;
    }

    /** Whether a head mixes hues. */
    static boolean has(Piece piece) {
        return Mode.of(piece).stream().anyMatch(Mode::isToldAHue)
                || piece.what().toLowerCase(Locale.ROOT).startsWith("full-colour");
    }

    private static void require(Clause clause, String word) {
        clause.requireLight();
        if (has(clause.about().piece())) {
            return;
        }
        List<String> gels = clause.speech().stock().having(word);
        throw new Refusal("%s mixes no hue of its own: hang a gel before it%s."
                .formatted(clause.name(), gels.isEmpty() ? "" : ", such as " + String.join(", ", gels)));
    }
}
