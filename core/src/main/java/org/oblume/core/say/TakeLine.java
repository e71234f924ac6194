package org.oblume.core.say;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.say.ParsedCommand.SaidTake;

/** {@code take 4, circle it}, <em>circle take three</em>; what else follows is the take's note. */
final class TakeLine implements LineParser {

    private static final Pattern CIRCLED =
            Pattern.compile("(?i)[\\s,;:]*\\bcircled?(?: it| that(?: one)?)?\\b[\\s,;:]*");
    /** Behind a number these say that it is an amount: <em>take 2 stops off the key</em>. */
    private static final Set<String> OF_AN_AMOUNT = Set.of(
            "stop", "stops", "%", "percent", "points", "of", "off", "m", "cm", "mm", "ft", "foot", "feet", "in", "'",
            "\"", "metre", "metres", "degree", "degrees", "°", "k", "kelvin", "mired");

    @Override
    public List<SaidTake> read(Line line) {
        Words words = line.words();
        boolean circled = words.take("circle");
        words.take("the");
        Optional<Integer> number = words.take("take") ? Figures.whole(words).filter(n -> n > 0) : Optional.empty();
        if (number.isEmpty() || words.isNext(OF_AN_AMOUNT)) {
            return List.of();
        }
        String rest = line.text().substring(words.all().get(words.at() - 1).to());
        Matcher circle = CIRCLED.matcher(rest);
        boolean behind = circle.find();
        String note = (behind ? rest.substring(0, circle.start()) + " " + rest.substring(circle.end()) : rest)
                .replaceFirst("^[\\s:,;\\-–]+", "")
                .strip();
        return List.of(new SaidTake(number.get(), circled || behind, note.isEmpty() ? null : note));
    }
}
