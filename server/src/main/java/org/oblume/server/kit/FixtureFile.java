package org.oblume.server.kit;

import static org.oblume.server.kit.KitService.number;
import static org.oblume.server.kit.KitService.optional;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.oblume.core.filter.StockItem;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Surface;

/** What can be placed, in CSV: a line is a kind of thing; columns that do not apply to it are empty. */
final class FixtureFile {

    private FixtureFile() {}

    /** @param stock by name, for what a kind comes with */
    static Kit.Fixture fixture(CSVRecord row, Map<String, StockItem> stock) {
        Piece piece = new Piece(
                row.get("what"),
                null,
                number(row, "width_m"),
                optional(row, "lowest_kelvin"),
                optional(row, "highest_kelvin"),
                number(row, "watts"),
                Mount.valueOf(row.get("mount")),
                optional(row, "height_m"),
                lamp(row),
                surface(row),
                row.get("glasses").isEmpty() ? null : Boolean.valueOf(row.get("glasses")));
        return new Kit.Fixture(
                PlacementKind.valueOf(row.get("kind")),
                piece,
                number(row, "beam_deg"),
                stack(row.get("cloth"), stock),
                false);
    }

    private static @Nullable Lamp lamp(CSVRecord row) {
        if (row.get("spot_cd").isEmpty()) {
            return null;
        }
        Optics optics = new Optics(
                number(row, "spot_cd"),
                number(row, "spot_deg"),
                number(row, "flood_cd"),
                number(row, "flood_deg"),
                null);
        Lamp.Upkeep upkeep = new Lamp.Upkeep(
                number(row, "idle_w"),
                optional(row, "battery_wh"),
                number(row, "weight_kg"),
                row.get("noise"),
                Lamp.Burn.valueOf(row.get("burn")),
                number(row, "safe_m"),
                row.get("modes"),
                row.get("menu"),
                optional(row, "warm_up_s"));
        return new Lamp(
                optics,
                Boolean.parseBoolean(row.get("round")),
                number(row, "emitter_height_m"),
                LevelCurve.valueOf(row.get("curve")),
                number(row, "lowest_percent"),
                number(row, "tint_reach"),
                upkeep);
    }

    private static @Nullable Surface surface(CSVRecord row) {
        Double reflectance = optional(row, "reflectance");
        Double mired = optional(row, "mired");
        return reflectance == null ? null : new Surface(reflectance, mired == null ? 0 : mired, 0);
    }

    private static Modifiers stack(String cloth, Map<String, StockItem> stock) {
        if (cloth.isEmpty()) {
            return Modifiers.NONE;
        }
        return new Modifiers(List.of(Modifier.of(Objects.requireNonNull(stock.get(cloth), cloth))));
    }
}
