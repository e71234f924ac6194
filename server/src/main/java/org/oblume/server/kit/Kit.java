package org.oblume.server.kit;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.GelColour;
import org.oblume.core.filter.FilterEffect;
import org.oblume.core.filter.StockItem;
import org.oblume.core.filter.StockKind;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.FrontGear;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/**
 * What can be placed and hung. All figures are nominal.
 *
 * @param fixtures generic kinds of things to place
 * @param stock filters, cloths and bounces, without a frame
 * @param front what is put on the front of a head as one thing
 * @param problem what is wrong with the crew's own stock file, which is left out then; or null
 */
public record Kit(List<Fixture> fixtures, List<Stock> stock, List<FrontGear> front, @Nullable String problem) {

    /**
     * A stock item as {@link StockItem} has it.
     *
     * @param own whether a crew added it, or changed it
     */
    public record Stock(
            String name,
            StockKind kind,
            double stops,
            double miredShift,
            double duvShift,
            double softness,
            @Nullable Double reflectance,
            @Nullable String heat,
            @Nullable GelColour gel,
            @Nullable Double narrowsToDeg,
            @Nullable Boolean own) {

        /** @throws org.oblume.core.units.Refusal when there can be no such item */
        StockItem item() {
            return new StockItem(
                    name,
                    kind,
                    FilterEffect.of(miredShift, stops, duvShift),
                    softness,
                    reflectance,
                    heat,
                    gel,
                    narrowsToDeg);
        }

        static Stock of(StockItem item, boolean own) {
            return new Stock(
                    item.name(),
                    item.kind(),
                    item.effect().stops().value(),
                    item.effect().mired().value(),
                    item.effect().duv(),
                    item.softness(),
                    item.reflectance(),
                    item.heat(),
                    item.gel(),
                    item.narrowsToDeg(),
                    own);
        }
    }

    /**
     * @param beamDeg beam of a light as it comes, degrees; 0 for grip
     * @param stack what it comes with: a cloth on its frame
     * @param own whether a crew added it
     */
    public record Fixture(PlacementKind kind, Piece piece, double beamDeg, Modifiers stack, boolean own) {

        /** What such a thing is there for as a rule, or null. */
        @JsonProperty
        public @Nullable Role usualRole() {
            return kind.usualRole().orElse(null);
        }

        public Fixture {
            if (kind.isLight()) {
                new Beam(beamDeg);
            }
        }
    }
}
