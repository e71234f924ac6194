package org.oblume.server.inventory;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.units.Phrase;

/** What crosses the wire of a production's kit. */
public final class InventoryViews {

    private InventoryViews() {}

    /**
     * A shot that names a unit.
     *
     * @param key of the placement that it is
     * @param name of that placement
     * @param day of the shot, or null
     */
    public record UnitUse(
            long shotId, long sceneId, Slate slate, String key, String name, @Nullable Integer day, ShotStage stage) {}

    /**
     * @param kind with its size, in words
     * @param where in words: {@code in}, {@code 4C, Key}, {@code out on hire until 20 Nov}
     * @param there whether the crew can have it today
     * @param inRepair whether it is at repair today
     * @param standsIn the lit shot that it stands in now, or null
     */
    public record UnitView(
            long id,
            long version,
            KitUnit unit,
            Phrase kind,
            String where,
            boolean there,
            boolean inRepair,
            @Nullable UnitUse standsIn,
            List<UnitUse> uses) {}

    /** @param detail what is said of it beside its name, which may be nothing */
    public record CountedView(long id, long version, CountedStock item, Phrase detail) {}

    /** A unit that shots name and the kit does not know. */
    public record NamedUnit(String name, String what, List<String> shots) {}

    /**
     * @param unknown units that shots name and nobody took up yet
     * @param address what the labels lead to, or null while nobody said
     * @param today the server's date, by which it is told where units are
     */
    public record InventoryView(
            List<UnitView> units,
            List<CountedView> counted,
            List<NamedUnit> unknown,
            @Nullable String address,
            LocalDate today) {}

    public record EarlierUnit(Instant until, String by, KitUnit was) {}

    public record EarlierCounted(Instant until, String by, CountedStock was) {}

    /**
     * What a tag says, wherever it is.
     *
     * @param production its name
     * @param cloth whether it is something flat that is hung: a cloth, a filter on a frame
     */
    public record ScannedUnit(long productionId, String production, UnitView unit, boolean cloth) {}

    public record ScannedUnits(List<ScannedUnit> units) {}

    /**
     * What a file would change.
     *
     * @param added in words
     * @param changed in words: {@code Heron 2: at repair since 17 Nov}
     * @param same rows that say what is known
     */
    public record KitFileRead(List<Phrase> added, List<Phrase> changed, int same) {}
}
