package org.oblume.server.day;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Phrase;
import org.oblume.server.day.DayViews.MinuteSpan;
import org.oblume.server.light.ParsedChange;

/** What crosses the wire of the sun on a set. Times are minutes after midnight, bearings of the plan. */
final class SunViews {

    private SunViews() {}

    /** Where it stands at a minute. */
    record SunStands(double minute, double bearingDeg, double upDeg) {}

    /** A light of the day, and when it is there. */
    record DayLightSpans(String name, List<MinuteSpan> spans) {}

    /** @param opening by which it comes, or null */
    record SunComes(double from, double to, @Nullable String opening) {}

    /**
     * A streak on record.
     *
     * @param minute of the date that is asked about, or null of another date
     * @param sunLux as it was metered, or null
     */
    record StreakOnRecord(
            Instant at, @Nullable Double minute, double bearingDeg, double upDeg, @Nullable Double sunLux) {}

    /**
     * A mark or a wall on which it comes.
     *
     * @param mark key of the mark, or null of a wall
     */
    record SunTarget(String name, @Nullable String mark, List<SunComes> comes, @Nullable StreakOnRecord streak) {}

    /**
     * The sun on a set through a date.
     *
     * @param zone of the clock
     * @param path where it stands, every few minutes, while it is up
     * @param lights golden hour, dusk and dawn, night
     */
    record SunTrack(
            LocalDate date, String zone, List<SunStands> path, List<DayLightSpans> lights, List<SunTarget> targets) {}

    /** A line of the floor, or of what stands on it, on which it lies. */
    record SunLine(double fromXM, double toXM, double yM, double heightM) {}

    /** A mark that it comes on, and by which opening. */
    record SunOnMark(String mark, @Nullable String opening) {}

    /** @param at the instant */
    record SunLies(Instant at, double bearingDeg, double upDeg, List<SunLine> lies, List<SunOnMark> marks) {}

    /**
     * A mirror on the way.
     *
     * @param key of it in the scene
     * @param awayM of the mirror from the opening, along the light, metres
     * @param headM of the head from the mirror, metres
     * @param headBearingDeg of the head as the mirror sees it
     */
    record ByMirror(String key, double awayM, double headM, double headBearingDeg, double headHeightM) {}

    /**
     * What a streak is made again with.
     *
     * @param mark key of the mark that it lay on
     * @param at when
     * @param head key of the head
     * @param awayM of the head from the opening, along the light, metres; not read with a mirror
     * @param sunLux that it had, or null: then what is on record counts
     * @param beamDeg that the head is set to, or null: so wide that the opening is filled from side to side
     */
    record StreakAsked(
            String mark,
            Instant at,
            String head,
            double awayM,
            @Nullable Double sunLux,
            @Nullable Double beamDeg,
            @Nullable ByMirror mirror) {}

    /** Where something stands for it. */
    record StandsFor(double xM, double yM, double heightM, Phrase place, Phrase height) {}

    /**
     * The opening that it comes by.
     *
     * @param toStreak along the light
     * @param fanDeg of the shadows of its two sides
     * @param parallel whether they read so (model)
     * @param edge that a bar in it throws where the streak lay
     */
    record ByOpening(
            String name,
            double sillM,
            double headM,
            Phrase wide,
            Phrase toStreak,
            double fanDeg,
            boolean parallel,
            Phrase edge) {}

    /**
     * The mirror.
     *
     * @param metAtDeg by the light, from its normal
     * @param wide that it has to be to fill the opening (model: for the middle of the head), or null
     * @param tall and how tall
     * @param fills whether this one does
     */
    record MirrorFor(StandsFor stands, double metAtDeg, @Nullable Phrase wide, @Nullable Phrase tall, boolean fills) {}

    /**
     * The level that gives what the sun gave.
     *
     * @param sunLux that is wanted
     * @param fullLux that the head gives at full, by every way
     * @param levelPercent that gives it; 100 when it cannot
     * @param shortStops what is missing then, 0 when it reaches
     */
    record LevelForSun(double sunLux, double fullLux, double levelPercent, double shortStops) {}

    /**
     * A streak made again.
     *
     * @param streakHeightM where it lay
     * @param toOpeningM from where it lay to the opening, along the light, metres; 0 without one
     * @param wayM and to the head
     * @param level null when nobody said how strong it was, or the head brings nothing there
     * @param cautions what stands in the way of it
     * @param changes that make it, to be tried
     */
    record StreakMade(
            double bearingDeg,
            double upDeg,
            double streakHeightM,
            double toOpeningM,
            double wayM,
            Phrase way,
            StandsFor head,
            double beamDeg,
            @Nullable ByOpening opening,
            @Nullable MirrorFor mirror,
            @Nullable LevelForSun level,
            List<String> cautions,
            List<ParsedChange> changes) {}
}
