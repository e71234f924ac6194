package org.oblume.server.day;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.moves.Department;
import org.oblume.server.scene.SceneHeading;

/** What crosses the wire of shooting days. Times are minutes after the midnight before the call. */
public final class DayViews {

    private DayViews() {}

    /**
     * A day in the list of them.
     *
     * @param shots how many are on it
     */
    public record DayHead(int number, @Nullable LocalDate date, String unit, String place, String call, int shots) {}

    public record ProductionDays(List<DayHead> days) {}

    /** Minutes until a department is done. */
    public record DepartmentMinutes(Department department, double minutes) {}

    /**
     * A shot in time.
     *
     * @param sceneId of its scene
     * @param setId of its set
     * @param again whether it is a later day of it: a rebuild
     * @param plan what it takes and needs
     * @param planVersion for If-Match
     * @param changeoverMin minutes from the shot before, or from nothing
     * @param departments which of them takes how long
     * @param begun whether it was shot, or is being shot: its times are as they were
     * @param light when the light that it needs is there; empty when it needs none, or never
     */
    public record DaySlot(
            long shotId,
            Slate slate,
            String description,
            ShotStage stage,
            long sceneId,
            SceneHeading scene,
            long setId,
            boolean again,
            ShotPlan plan,
            long planVersion,
            double changeoverMin,
            List<DepartmentMinutes> departments,
            double setUpFrom,
            double readyAt,
            double shootFrom,
            double shootTo,
            boolean begun,
            boolean late,
            boolean inItsLight,
            List<MinuteSpan> light) {}

    public record MinuteSpan(double from, double to) {}

    /**
     * What the sun does at a place of the day.
     *
     * @param set its name
     * @param elevations degrees, each so many minutes from 00:00 on
     * @param everyMin how many
     * @param rise minute at which it comes over the horizon, or null when it does not
     * @param sets minute at which it goes under, or null
     * @param dark minute at which the dusk ends, or null
     * @param say in words
     */
    public record SunOfSet(
            long setId,
            String set,
            List<Double> elevations,
            int everyMin,
            @Nullable Double rise,
            @Nullable Double sets,
            @Nullable Double dark,
            String say) {}

    /**
     * What is said of a day early.
     *
     * @param act whether something is to be done
     */
    public record DayNotice(String text, @Nullable Long shotId, boolean act) {}

    /**
     * @param waitMin waiting for the light
     * @param savableMin how much the best order could save at most, minutes; null of an order that is only tried
     * @param exact whether some order does save so much
     */
    public record DayCost(
            double changeoverMin,
            double waitMin,
            int setChanges,
            List<String> broken,
            double total,
            @Nullable Double savableMin,
            boolean exact) {}

    /**
     * A shooting day.
     *
     * @param said whether anything was said of it; else its times are taken as usual
     * @param version of it, for If-Match
     * @param now minute of the day while it runs, or null
     */
    public record DayView(
            long productionId,
            int number,
            int of,
            DayCard card,
            boolean said,
            long version,
            double callMin,
            double wrapMin,
            @Nullable Double now,
            List<DaySlot> slots,
            List<MinuteSpan> pauses,
            List<SunOfSet> sun,
            List<DayNotice> notices,
            DayCost cost) {}

    /**
     * What a day was until somebody changed it.
     *
     * @param shots ids of those that are still there, in their order then
     * @param slates the same
     */
    public record EarlierDay(Instant until, String by, DayCard card, List<Long> shots, List<Slate> slates) {}

    /** What a shot took and needed until somebody said it anew. */
    public record EarlierShotPlan(Instant until, String by, ShotPlan plan) {}

    /**
     * An order that is tried.
     *
     * @param shots their ids, in it
     * @param soonerMin minutes by which its last takes end sooner
     */
    public record TriedOrder(
            List<Long> shots, List<DaySlot> slots, List<MinuteSpan> pauses, DayCost cost, double soonerMin) {}

    /**
     * A step of the search for a better order.
     *
     * @param done of it, 0 to 1
     * @param order the best so far, when it is a new one; at the end the best that was found
     */
    public record OrderStep(double done, @Nullable TriedOrder order) {}

    /**
     * What a file says of a day; nothing is kept by reading it.
     *
     * @param shots ids of the shots that it names, in its order, each once
     * @param said what it says, a line each, with the shot that is meant
     * @param unknown lines of which no shot of the production is meant
     */
    public record DayFileRead(List<Long> shots, List<String> said, List<String> unknown) {}
}
