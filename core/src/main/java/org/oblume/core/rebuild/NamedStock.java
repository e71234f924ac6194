package org.oblume.core.rebuild;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.kit.KitSize;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Phrase;

/**
 * What somebody is about to hang, beside what is recorded there: said before it is up. By nominal figures (model): whether a cloth is what
 * its label says, the first reading tells.
 *
 * @param right whether it is what is recorded
 * @param sentence what it is, and what would change with it
 * @param instead what would be true if it were hung all the same; empty when it is right, or when it has no place there
 */
public record NamedStock(boolean right, Phrase sentence, List<AttributeValue> instead) {

    /**
     * What is named: by its tag, or by what it is called.
     *
     * @param what a kind, or the name of a filter or cloth
     * @param unit the crew's own name of a tagged one, or null
     * @param size of a cloth whose size is known, or {@link KitSize#NONE}
     */
    public record Named(String what, @Nullable String unit, KitSize size) {

        private String called() {
            return unit == null || unit.equalsIgnoreCase(what) ? what : "%s (%s)".formatted(unit, what);
        }
    }

    /**
     * @param placement with what was exchanged
     * @param hung what is recorded before it or on it
     * @param stock what filters and cloths there are
     */
    public static NamedStock of(Named named, Placement placement, Modifiers hung, Collection<StockItem> stock) {
        if (named.what.equalsIgnoreCase(placement.piece().what())) {
            return unit(named, placement.piece());
        }
        for (Modifier item : hung.items()) {
            if (item.name().equalsIgnoreCase(named.what)) {
                return sized(named, placement, item);
            }
        }
        Optional<StockItem> known = stock.stream()
                .filter(s -> s.isFilter() && s.name().equalsIgnoreCase(named.what))
                .findFirst();
        if (known.isEmpty() || hung.items().isEmpty()) {
            return new NamedStock(
                    false,
                    Phrase.of("%s is no part of %s as it is recorded.".formatted(named.called(), placement.name())),
                    List.of());
        }
        return other(named, known.get(), hung, stock);
    }

    private static NamedStock unit(Named named, Piece recorded) {
        if (recorded.unit() == null || named.unit == null || recorded.unit().equalsIgnoreCase(named.unit)) {
            return new NamedStock(true, Phrase.of("%s, as recorded.".formatted(named.called())), List.of());
        }
        return new NamedStock(
                false,
                Phrase.of("That is %s; %s is recorded. The same kind, but no two dial alike: exchange it, or record it."
                        .formatted(named.unit, recorded.unit())),
                List.of());
    }

    private static NamedStock sized(Named named, Placement placement, Modifier item) {
        Double frame = item.frameWidthM();
        KitSize wanted = frame != null
                ? KitSize.flat(frame, frame)
                : placement.kind() == PlacementKind.FRAME
                        ? KitSize.flat(
                                placement.piece().widthM(), placement.piece().tallM())
                        : KitSize.NONE;
        if (!named.size.equals(KitSize.NONE) && !wanted.equals(KitSize.NONE) && !named.size.isAbout(wanted)) {
            return new NamedStock(
                    false,
                    Phrase.format(
                            "%s is the right cloth, but %s, and %s is wanted.",
                            named.called(), named.size.phrase(), wanted.phrase()),
                    List.of());
        }
        return new NamedStock(true, Phrase.of("%s, as recorded.".formatted(named.called())), List.of());
    }

    /** Another filter: set beside the one of its kind that is recorded, else beside the first. */
    private static NamedStock other(Named named, StockItem item, Modifiers hung, Collection<StockItem> stock) {
        int place = 0;
        for (int i = hung.items().size() - 1; i >= 0; i--) {
            String name = hung.items().get(i).name();
            if (stock.stream().anyMatch(s -> s.name().equals(name) && s.kind() == item.kind())) {
                place = i;
            }
        }
        Modifier recorded = hung.items().get(place);
        Modifier would = Modifier.of(item);
        Double frame = recorded.frameWidthM();
        Double distance = recorded.frameDistanceM();
        if (frame != null && distance != null) {
            would = would.framed(frame, distance);
        }
        would = would.covering(recorded.covers(), recorded.share());
        List<Modifier> all = new ArrayList<>(hung.items());
        all.set(place, would);
        List<String> changes = FilterChange.of(hung, new Modifiers(all)).words();
        return new NamedStock(
                false,
                Phrase.of("That is %s; %s is recorded. With it: %s."
                        .formatted(
                                named.called(),
                                recorded.name(),
                                changes.isEmpty() ? "nothing that a meter tells" : String.join(", ", changes))),
                List.of(new Modifiers(all)));
    }
}
