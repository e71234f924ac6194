package org.oblume.server.day;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.LightNeed;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.SunSpans;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.light.SunReach;
import org.oblume.core.light.SunTargets;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Site;
import org.oblume.core.plot.Streak;
import org.oblume.core.units.Refusal;
import org.oblume.server.day.DayViews.MinuteSpan;
import org.oblume.server.day.SunViews.DayLightSpans;
import org.oblume.server.day.SunViews.StreakOnRecord;
import org.oblume.server.day.SunViews.SunComes;
import org.oblume.server.day.SunViews.SunLies;
import org.oblume.server.day.SunViews.SunLine;
import org.oblume.server.day.SunViews.SunOnMark;
import org.oblume.server.day.SunViews.SunStands;
import org.oblume.server.day.SunViews.SunTarget;
import org.oblume.server.day.SunViews.SunTrack;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sun on the set of a shot, through a date and at a minute of it. */
@Service
@Transactional(readOnly = true)
class SunService {

    private static final int EVERY_MIN = 5;
    private static final int MINUTES = 1440;
    private static final double LINES_APART_M = 0.1;

    /** A light of the day by its name. */
    private record Named(String name, Predicate<SunDirection> is) {}

    private static final List<Named> LIGHTS = List.of(
            new Named("golden hour", LightNeed::isGolden),
            new Named("dusk or dawn", LightNeed.DUSK::is),
            new Named("night", LightNeed.NIGHT::is));

    private final StoredScenes records;
    private final DayReader days;
    private final Clock clock;

    SunService(StoredScenes records, DayReader days, Clock clock) {
        this.records = records;
        this.days = days;
        this.clock = clock;
    }

    /**
     * @param date or null for that of the shot's day; where it has none for today
     * @param zone of the clock, or null for that of the shot's day
     */
    SunTrack track(long shotId, @Nullable LocalDate date, @Nullable String zone) {
        RecordedShot shot = records.shot(shotId);
        Site site = site(shot);
        DayCard day = dayOf(shot);
        ZoneId clocks = zone == null ? day.clock() : DayCard.zone(zone);
        LocalDate on = date != null
                ? date
                : day.date() != null
                        ? day.date()
                        : clock.instant().atZone(clocks).toLocalDate();
        SunSpans spans = new SunSpans(site.latitude(), site.longitude(), on, clocks);
        List<SunStands> path = new ArrayList<>();
        for (int minute = 0; minute < MINUTES; minute += EVERY_MIN) {
            SunDirection sun = sun(site, new TimeOfDay(minute).on(on, clocks));
            if (sun.elevationDeg() > 0) {
                Direction to = towards(shot, sun);
                path.add(new SunStands(minute, to.bearing().degrees(), sun.elevationDeg()));
            }
        }
        return new SunTrack(
                on,
                clocks.getId(),
                path,
                LIGHTS.stream()
                        .map(l -> new DayLightSpans(
                                l.name,
                                spans.of(l.is).stream().map(SunService::span).toList()))
                        .toList(),
                SunTargets.of(shot.record().set(), shot.record().placements(), shot.state(), spans).stream()
                        .map(t -> target(shot, site, t, on, clocks))
                        .toList());
    }

    private static SunTarget target(
            RecordedShot shot, Site site, SunTargets.Target target, LocalDate date, ZoneId zone) {
        return new SunTarget(
                target.name(),
                target.mark(),
                target.comes().stream()
                        .map(c -> new SunComes(
                                c.span().from().minutes(), c.span().to().minutes(), c.by()))
                        .toList(),
                target.mark() == null
                        ? null
                        : shot.state()
                                .value(target.mark(), Streak.class)
                                .map(s -> streak(shot, site, s, date, zone))
                                .orElse(null));
    }

    private static StreakOnRecord streak(RecordedShot shot, Site site, Streak streak, LocalDate date, ZoneId zone) {
        SunDirection sun = sun(site, streak.at());
        boolean ofTheDate = streak.at().atZone(zone).toLocalDate().equals(date);
        return new StreakOnRecord(
                streak.at(),
                ofTheDate ? Double.valueOf(TimeOfDay.of(streak.at(), date, zone).minutes()) : null,
                towards(shot, sun).bearing().degrees(),
                sun.elevationDeg(),
                streak.sunLux());
    }

    /** @param minute of the date, 0 to 1439 */
    SunLies lies(long shotId, LocalDate date, String zone, double minute) {
        RecordedShot shot = records.shot(shotId);
        Instant at = new TimeOfDay(minute).on(date, DayCard.zone(zone));
        SunDirection sun = sun(site(shot), at);
        SunReach reach = new SunReach(shot.record().set(), shot.record().placements(), shot.state());
        return new SunLies(
                at,
                towards(shot, sun).bearing().degrees(),
                sun.elevationDeg(),
                reach.lies(sun, LINES_APART_M).stream()
                        .map(l ->
                                new SunLine(l.from().xM(), l.to().xM(), l.from().yM(), l.heightM()))
                        .toList(),
                shot.marks().stream()
                        .flatMap(mark -> onMark(shot, reach, sun, mark).stream())
                        .toList());
    }

    private static Optional<SunOnMark> onMark(RecordedShot shot, SunReach reach, SunDirection sun, Placement mark) {
        return shot.state()
                .position(mark.key())
                .filter(at -> reach.reaches(sun, at))
                .map(at -> new SunOnMark(
                        mark.key(), reach.by(sun, at).map(o -> o.name()).orElse(null)));
    }

    private DayCard dayOf(RecordedShot shot) {
        Integer day = shot.shot().card().day();
        return day == null
                ? DayCard.USUAL
                : days.kept(shot.scene().scene().productionId(), day).card();
    }

    /** @throws Refusal when the set has no place on earth */
    static Site site(RecordedShot shot) {
        Site site = shot.record().set().site();
        if (site == null) {
            throw new Refusal(
                    "site", "Where this set is on earth is not known: give it its place where the set is drawn.");
        }
        return site;
    }

    /** @throws Refusal when no calendar of the sun goes so far */
    static SunDirection sun(Site site, Instant at) {
        try {
            return SunDirection.at(site.latitude(), site.longitude(), at);
        } catch (DateTimeException none) {
            throw new Refusal("at", "There is no such time: give one of these years.");
        }
    }

    private static Direction towards(RecordedShot shot, SunDirection sun) {
        return SunReach.towards(sun, shot.record().set().northDeg());
    }

    private static MinuteSpan span(LightSpan span) {
        return new MinuteSpan(span.from().minutes(), span.to().minutes());
    }
}
