package org.oblume.core.say;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.units.Numbers;

/** Figures of a line that is called out, written down: <em>lit fifty four</em> is {@code lit 54}, <em>t four and a third</em> {@code t4 1/3}. */
public final class SpokenFigures {

    private static final Map<String, String> UNITS =
            Map.of("percent", "%", "kelvin", "K", "candles", "candles", "footcandles", "fc");
    private static final double THIRD = 1 / 3.0;
    private static final double NEAR = 1e-6;

    private SpokenFigures() {}

    /** The same line with its spoken numbers in digits and its spoken units as they are written; all else stays. */
    public static String written(String line) {
        Words words = Words.of(line);
        StringBuilder written = new StringBuilder();
        int copied = 0;
        while (!words.done()) {
            int start = words.at();
            Words.Word first = words.take();
            if (!first.text().matches("\\p{L}+")) {
                continue;
            }
            words.back(start);
            Optional<String> said = unit(words)
                    .or(() -> first.text().matches("a|an|t|f")
                            ? Optional.empty()
                            : Figures.number(words).map(SpokenFigures::print));
            if (said.isEmpty()) {
                words.back(start + 1);
                continue;
            }
            written.append(line, copied, first.from()).append(said.get());
            copied = words.all().get(words.at() - 1).to();
        }
        return written.append(line.substring(copied)).toString().replaceAll("(?i)\\b([tf]) (?=\\d)", "$1");
    }

    private static Optional<String> unit(Words words) {
        return words.takeKnown(UNITS);
    }

    /** Thirds and halves as they stand on a lens. */
    private static String print(Figures.Counted number) {
        double whole = Math.floor(number.value() + NEAR);
        double part = number.value() - whole;
        for (Map.Entry<Double, String> known :
                Map.of(THIRD, "1/3", 2 * THIRD, "2/3", 0.5, "1/2").entrySet()) {
            if (Math.abs(part - known.getKey()) < NEAR && number.part()) {
                return "%s%s"
                        .formatted(whole == 0 ? "" : "%.0f ".formatted(whole), known.getValue())
                        .toLowerCase(Locale.ROOT);
            }
        }
        return Numbers.plain(number.value());
    }
}
