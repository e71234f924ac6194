package org.oblume.core.moves;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.SetStatus;
import org.oblume.core.units.Phrase;

/** What is not the same in two recorded states of the light. */
public final class Differences {

    private Differences() {}

    /**
     * Everything that differs, thing by thing in the first side's order and then in the order of the attributes. What
     * stands on one side only is one difference, of {@link Attribute#STANDING}; what stands on neither is left out.
     */
    public static List<Difference> between(ComparedState from, ComparedState to) {
        List<Difference> all = new ArrayList<>();
        for (ComparedState.Pair pair : from.pairs(to)) {
            boolean was = from.isOnSet(pair.from());
            boolean is = to.isOnSet(pair.to());
            if (was && is) {
                for (Attribute attribute : Attribute.values()) {
                    add(all, from, to, pair, attribute);
                }
            } else if (was || is) {
                all.add(new Difference(
                        pair.from(),
                        pair.to(),
                        Attribute.STANDING,
                        was ? from.value(pair.from(), Attribute.STANDING) : SetStatus.STRUCK,
                        is ? to.value(pair.to(), Attribute.STANDING) : SetStatus.STRUCK,
                        Phrase.of(is ? "comes in" : "goes out")));
            }
        }
        return all;
    }

    private static void add(
            List<Difference> all, ComparedState from, ComparedState to, ComparedState.Pair pair, Attribute attribute) {
        @Nullable AttributeValue before = from.value(pair.from(), attribute);
        @Nullable AttributeValue after = to.value(pair.to(), attribute);
        if (attribute == Attribute.UNIT && (before != null || after != null)) {
            before = from.standing(pair.from());
            after = to.standing(pair.to());
        }
        if (!sameFor(from, to, before, after)) {
            Placement placement = Objects.requireNonNull(pair.to());
            all.add(new Difference(
                    pair.from(),
                    pair.to(),
                    attribute,
                    before,
                    after,
                    ChangePhrases.of(from, Objects.requireNonNull(pair.from()).key(), to, placement.key(), attribute)));
        }
    }

    /** An aim at the same mark is the same in another scene too, whatever the mark's key is there; a place is, however it was measured. */
    private static boolean sameFor(
            ComparedState from, ComparedState to, @Nullable AttributeValue before, @Nullable AttributeValue after) {
        if (before instanceof Place was && after instanceof Place is) {
            return was.isAt(is);
        }
        return Objects.equals(ChangePhrases.named(from, before), ChangePhrases.named(to, after));
    }
}
