package org.oblume.server.truck;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.KitItem;
import org.oblume.core.kit.KitOnDay.AbsentUnit;
import org.oblume.core.rigging.HangingLoad;
import org.oblume.core.units.Phrase;
import org.oblume.server.inventory.InventoryViews.UnitView;

/** What crosses the wire of what is needed of the kit. */
public final class TruckViews {

    private TruckViews() {}

    /**
     * One thing that is needed.
     *
     * @param item in words, with its size
     * @param count the most that stands at once
     * @param worn pieces more because lamps burn them
     * @param there how many can be had
     * @param missing how many cannot
     * @param tags of units of its kind that are there, recorded ones first
     * @param absent recorded units that are not there
     * @param shots that need it
     * @param by what it is for
     * @param how a flat piece is had: cut, whole, joined; or null
     */
    public record NeedLine(
            KitItem.Sort sort,
            String what,
            Phrase item,
            int count,
            int worn,
            int there,
            int missing,
            List<String> tags,
            List<AbsentUnit> absent,
            List<String> shots,
            List<String> by,
            @Nullable Phrase how) {}

    /**
     * What is cut of one filter or cloth.
     *
     * @param sheets that are cut into
     * @param roll length that is cut off rolls
     * @param leftOver part of what is cut into that no piece is of, 0 to 1
     * @param toBuy length of roll that would give what is missing, or null
     */
    public record CutOf(String what, int sheets, Phrase roll, double leftOver, @Nullable Phrase toBuy) {}

    /** A unit that nothing of the day needs. */
    public record FreeUnit(String tag, String name, String what) {}

    /**
     * What a day needs.
     *
     * @param counted whether anything is said of the kit: else nothing is told to be short
     * @param asOf the date by which it is told what is there: the day's, or today's while it has none
     * @param hanging what hangs from what on each set, estimates
     * @param notices what is to be done, in words
     */
    public record DayKitView(
            long productionId,
            int day,
            @Nullable LocalDate date,
            LocalDate asOf,
            boolean counted,
            List<NeedLine> lines,
            List<CutOf> cuts,
            List<FreeUnit> free,
            List<HangingOfSet> hanging,
            List<Phrase> notices) {}

    /** What could stand in for something that is short. */
    public record StandInsOf(String what, String shot, String by, List<String> instead) {}

    public record DayStandIns(List<StandInsOf> standIns) {}

    /** What is short on a day. */
    public record ShortDay(int day, @Nullable LocalDate date, List<Phrase> missing) {}

    /**
     * A filter before a hot lamp.
     *
     * @param hours of takes that were shot with it
     * @param worn whether another is to be cut
     */
    public record WornFilter(String what, String by, String scene, double hours, boolean worn) {}

    /** What the days ahead want and what has been used up. */
    public record KitAhead(List<ShortDay> days, List<WornFilter> filters) {}

    /**
     * What a shot needs of the kit.
     *
     * @param absent recorded units that are not there on a day of the shot, in words
     * @param hanging what hangs from what, estimates
     */
    public record ShotKitView(List<NeedLine> lines, List<AbsentOnDay> absent, List<HangingLoad> hanging) {}

    /** What hangs on a set on one day: of each beam or wall the most that a shot hangs from it. */
    public record HangingOfSet(String set, List<HangingLoad> hanging) {}

    /** Units that are free on the day on which a shot is shot next. */
    public record FreeUnits(List<FreeUnit> units) {}

    /** @param key of the placement */
    public record AbsentOnDay(String key, String name, String unit, String why, int day, @Nullable LocalDate date) {}

    /** What a scene needs, whichever of its shots is shot. */
    public record SceneKitView(List<NeedLine> lines) {}

    /** A unit read alone. */
    public record SoloOfUnit(long shotId, String shot, String name, Instant at, double overStops) {}

    /** A note or a photograph of what a unit was in a shot. */
    public record NoteOfUnit(long id, String shot, String text, @Nullable String photo, String author, Instant at) {}

    /** How long it was on at about one level. */
    public record LevelHours(double percent, double hours) {}

    /**
     * A colour that was dialled and measured.
     *
     * @param mired that was dialled
     * @param offMired measured less dialled: + is warmer
     * @param offDuv + is greener
     */
    public record DialledPoint(
            double mired, double offMired, double offDuv, double dialledKelvin, double measuredKelvin) {}

    /** What a unit measured through one path: bare, or with what hung before it. */
    public record DialledPath(String path, List<DialledPoint> points) {}

    /**
     * One unit.
     *
     * @param paths what it measured when it was dialled
     * @param solos readings of it alone, the oldest first
     * @param drift how its output went, in words, or null
     * @param hours of takes that were shot with it, by level (model: the planned minutes of takes)
     */
    public record UnitPage(
            UnitView unit,
            List<DialledPath> paths,
            List<SoloOfUnit> solos,
            @Nullable String drift,
            List<LevelHours> hours,
            List<NoteOfUnit> notes) {}
}
