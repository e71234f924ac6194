package org.oblume.core.still;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.oblume.core.metering.MeterPlace;

/** What is read off a still as it is typed where readings are, so that it can be kept as one. */
public final class TypedLine {

    /** Points that a line of readings has words for. */
    private static final Map<String, String> WORDS = Map.of(
            StillMatch.LIT,
            "lit",
            StillMatch.SHADOW,
            "shadow",
            MeterPlace.BACKGROUND.label(),
            "background",
            "window",
            "window",
            "hottest",
            "hottest");
    /** What else can be called out: words without figures. */
    private static final Pattern CALLED = Pattern.compile("\\p{L}[\\p{L}' -]*");

    private TypedLine() {}

    /** Its points with their percents; a place that has no word there is one of the crew's own. Empty when none can be called out. */
    public static Optional<String> of(List<StillFigure> points) {
        String line = points.stream()
                .filter(p ->
                        WORDS.containsKey(p.name()) || CALLED.matcher(p.name()).matches())
                .map(p -> String.format(
                        Locale.ROOT, "%s %.1f%%", WORDS.getOrDefault(p.name(), "on the " + p.name()), p.percent()))
                .collect(Collectors.joining(", "));
        return line.isEmpty() ? Optional.empty() : Optional.of(line);
    }
}
