package org.oblume.core.rebuild;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Surface;
import org.oblume.core.units.Numbers;
import org.oblume.core.units.Stops;

/**
 * What stands in for grip that is missing: another of its kind for a flag, a board, a frame; another cloth for a cloth. By size, by what it
 * sends back and by the nominal figures of cloths (model): what that is on the mark, the light tells when it is tried.
 */
public final class GripSubstitutes {

    private static final int MOST = 5;
    private static final double TELLS_STOPS = 0.05;
    private static final double TELLS_AREA = 0.1;

    private GripSubstitutes() {}

    /**
     * @param grip what it is of, with what was exchanged
     * @param hung what is recorded on it
     * @param missing names of the cloths that are not there
     * @param pieces things of its kind that can stand in; only its own when just a cloth is missing
     * @param stock cloths at hand in a size that will do
     * @return at most five, the nearest first
     */
    public static List<Substitute> of(
            Placement grip,
            Modifiers hung,
            Set<String> missing,
            Collection<Piece> pieces,
            Collection<StockItem> stock) {
        List<Modifiers> stacks = stacks(hung, missing, stock);
        return pieces.stream()
                .flatMap(piece -> stacks.stream().map(stack -> standIn(grip.piece(), piece, hung, stack)))
                .sorted(Comparator.comparingDouble(Substitute::cost))
                .limit(MOST)
                .toList();
    }

    /** What could hang in the place of the first cloth that is missing; as recorded when none is. */
    private static List<Modifiers> stacks(Modifiers hung, Set<String> missing, Collection<StockItem> stock) {
        Optional<Modifier> gone =
                hung.items().stream().filter(m -> missing.contains(m.name())).findFirst();
        if (gone.isEmpty()) {
            return List.of(hung);
        }
        return stock.stream()
                .filter(s -> s.kind() == StockKind.DIFFUSION && !missing.contains(s.name()))
                .map(s -> new Modifiers(hung.items().stream()
                        .map(m -> m.equals(gone.get()) ? Modifier.of(s) : m)
                        .toList()))
                .toList();
    }

    private static Substitute standIn(Piece was, Piece piece, Modifiers hung, Modifiers stack) {
        FilterChange change = FilterChange.of(hung, stack);
        List<String> givenUp = new ArrayList<>(change.words());
        double area = piece.widthM() * piece.tallM() / (was.widthM() * was.tallM());
        if (Math.abs(area - 1) >= TELLS_AREA) {
            givenUp.add("%s times the area".formatted(Numbers.fixed(area, 1)));
        }
        double reflected = stopsReflected(was, piece);
        if (Math.abs(reflected) >= TELLS_STOPS) {
            givenUp.add("sends back %s stop %s"
                    .formatted(Stops.of(Math.abs(reflected)).inTenths(), reflected > 0 ? "more" : "less"));
        }
        List<AttributeValue> values = stack.equals(hung) ? List.of() : List.of(stack);
        return new Substitute(
                piece,
                values,
                change.stops() + reflected,
                change.mired(),
                change.duv(),
                Stops.fromRatio(area).value(),
                givenUp);
    }

    private static double stopsReflected(Piece was, Piece piece) {
        Surface before = was.surface();
        Surface now = piece.surface();
        return before == null || now == null || before.reflectance() <= 0 || now.reflectance() <= 0
                ? 0
                : Stops.fromRatio(now.reflectance() / before.reflectance()).value();
    }
}
