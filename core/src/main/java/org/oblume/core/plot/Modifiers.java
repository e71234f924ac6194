package org.oblume.core.plot;

import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.oblume.core.colour.GelColour;
import org.oblume.core.colour.LightColour;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Phrase;

/**
 * What a light goes through, in order from the lens out. Stops, mireds and Duv of a stack add (Duv: model).
 *
 * @param items at most 12
 */
public record Modifiers(List<Modifier> items) implements AttributeValue {

    public static final Modifiers NONE = new Modifiers(List.of());
    private static final int MOST = 12;

    public Modifiers {
        items = List.copyOf(items);
        Checks.within("The number of modifiers", items.size(), 0, MOST, "");
    }

    /** What all of them together do to white light. */
    public FilterEffect effect() {
        return FilterEffect.sum(items.stream().map(Modifier::effect).toList());
    }

    /** Whether the light leaves the stack from a larger, softer surface. */
    public boolean soften() {
        return items.stream().anyMatch(Modifier::softens);
    }

    /**
     * The colour of a light behind this stack.
     *
     * @throws org.oblume.core.units.Refusal when it would be outside 1000–25000 K or ±0.05 Duv
     */
    public LightColour colour(Kelvin dialled, Duv tint) {
        List<GelColour> gels =
                items.stream().map(Modifier::gel).filter(Objects::nonNull).toList();
        return new LightColour(effect().behind(WhitePoint.of(dialled, tint)), gels);
    }

    @Override
    public String say() {
        return joined(Phrase::metric);
    }

    @Override
    public String sayImperial() {
        return joined(Phrase::imperial);
    }

    @Override
    public Phrase brief() {
        return Phrase.of(items.stream().map(Modifier::brief).collect(Collectors.joining(", ")));
    }

    private String joined(Function<Phrase, String> told) {
        return items.isEmpty()
                ? "none"
                : items.stream().map(Modifier::phrase).map(told).collect(Collectors.joining("; "));
    }
}
