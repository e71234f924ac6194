package org.oblume.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.units.Length;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;

/** The words of a line with their places in it, read from left to right. */
final class Tokens {

    private static final Pattern WORD = Pattern.compile("[,;]|[^\\s,;]+");
    private static final Pattern LENGTH_UNIT = Pattern.compile("(?i).*(\\d|½|¼|¾)\\s?(m|cm|mm|ft|feet|in|'|\"|′|″)$");
    private static final Pattern STOP_UNIT = Pattern.compile("(?i).*\\bstops?$");
    private static final int LONGEST_FIGURE = 5;

    private final List<Token> words = new ArrayList<>();
    private int next;

    /**
     * @param from place of its first character
     * @param to place after its last
     */
    record Token(String text, int from, int to) {}

    private final int lineLength;

    Tokens(String line) {
        this.lineLength = line.length();
        Matcher matcher = WORD.matcher(line);
        while (matcher.find()) {
            words.add(new Token(matcher.group(), matcher.start(), matcher.end()));
        }
    }

    /** The place behind the line, where something is missing. */
    Token end() {
        return new Token("", lineLength, lineLength);
    }

    boolean done() {
        return next >= words.size();
    }

    boolean atBreak() {
        return !done() && words.get(next).text.matches("[,;]");
    }

    Token peek() {
        return words.get(next);
    }

    /** @throws Refusal when the line ends here */
    Token take() {
        if (done()) {
            throw new Refusal("Something is missing at the end: say the rest.");
        }
        return words.get(next++);
    }

    /** Takes a word when it is one of these. */
    boolean take(String... any) {
        for (String one : any) {
            if (!done() && peek().text.equalsIgnoreCase(one)) {
                next++;
                return true;
            }
        }
        return false;
    }

    /** Words from here on to the next break, at most so many, in lower case with one space between. */
    String ahead(int count) {
        StringBuilder text = new StringBuilder();
        for (int i = next;
                i < Math.min(words.size(), next + count) && !words.get(i).text.matches("[,;]");
                i++) {
            text.append(text.isEmpty() ? "" : " ").append(words.get(i).text);
        }
        return text.toString().toLowerCase(Locale.ROOT);
    }

    /** How many words there are to the next break. */
    int toBreak() {
        int count = 0;
        while (next + count < words.size() && !words.get(next + count).text.matches("[,;]")) {
            count++;
        }
        return count;
    }

    void skip(int count) {
        next += count;
    }

    /** A length with its unit: {@code 40 cm}, {@code 6'5"}, {@code 2 ft 3 in}. */
    Optional<Double> length() {
        for (int count = LONGEST_FIGURE; count > 0; count--) {
            String text = ahead(count);
            if (count <= toBreak() && LENGTH_UNIT.matcher(text).matches()) {
                try {
                    double metres = Length.parse(text.replace("feet", "ft")).metres();
                    skip(count);
                    return Optional.of(metres);
                } catch (Refusal notAllOfIt) {
                    // fewer words may be one
                }
            }
        }
        return Optional.empty();
    }

    /** A number of stops as it is spoken: {@code 1 1/3 stops}, {@code a third}, {@code half a stop}, {@code two thirds}. */
    Optional<Double> stops() {
        for (int count = LONGEST_FIGURE; count > 0; count--) {
            if (count <= toBreak()) {
                String text = ahead(count)
                        .replaceAll("^(a|one) third( of a stop| stop)?$", "1/3 stop")
                        .replaceAll("^two thirds( of a stop| stop)?$", "2/3 stop")
                        .replaceAll("^(a )?half( a| of a)?( stop)?$", "1/2 stop")
                        .replaceAll("^(a|one) stop$", "1 stop")
                        .replaceAll("^two stops$", "2 stops")
                        .replaceAll("^three stops$", "3 stops")
                        .replaceAll("^(a|one) stop and a (half|third)$", "1 1/$2 stop")
                        .replace("1/half", "1/2")
                        .replace("1/third", "1/3");
                if (STOP_UNIT.matcher(text).matches() || text.matches("[+−-]?([0-9]+ )?[0-9]+/[0-9]+|[+−-]?[⅓⅔½]")) {
                    try {
                        double stops = Stops.parse(text).value();
                        skip(count);
                        return Optional.of(stops);
                    } catch (Refusal notAllOfIt) {
                        // fewer words may be some
                    }
                }
            }
        }
        return Optional.empty();
    }
}
