package org.oblume.core.plot;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.oblume.core.units.Refusal;

/** Hints about a placement that were judged and are meant to be so. Order does not matter. */
public record OnPurpose(Set<HintKind> hints) implements AttributeValue {

    public static final OnPurpose NOTHING = new OnPurpose(Set.of());

    public OnPurpose {
        hints = Set.copyOf(hints);
    }

    /** Reads hints by their words, apart by commas; {@code nothing} for none. */
    public static OnPurpose parse(String text) {
        Set<HintKind> read = new LinkedHashSet<>();
        for (String part : text.strip().split("\\s*,\\s*")) {
            if (!part.equalsIgnoreCase("nothing")) {
                read.add(Arrays.stream(HintKind.values())
                        .filter(k -> k.label().equalsIgnoreCase(part))
                        .findFirst()
                        .orElseThrow(() -> new Refusal("“%s” is not a hint: take one of %s."
                                .formatted(
                                        part,
                                        Arrays.stream(HintKind.values())
                                                .map(HintKind::label)
                                                .collect(Collectors.joining(", "))))));
            }
        }
        return new OnPurpose(read);
    }

    @Override
    public String say() {
        return hints.isEmpty()
                ? "nothing"
                : hints.stream()
                        .sorted()
                        .map(h -> h.label().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(", "));
    }
}
