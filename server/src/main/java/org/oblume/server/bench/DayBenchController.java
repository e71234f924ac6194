package org.oblume.server.bench;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.day.DayBatteries;
import org.oblume.core.day.DayFrame;
import org.oblume.core.day.DayShot;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.Pause;
import org.oblume.core.day.Schedule;
import org.oblume.core.day.SunSpans;
import org.oblume.core.day.TimeOfDay;
import org.oblume.core.day.UprightOpening;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.power.BatteryRun;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The times of a day, its batteries, and when the sun comes through an opening. Batteries are an estimate. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class DayBenchController {

    record PauseAsked(@Nullable String afterTime, @Nullable String beforeTime, @Nullable Double minutes) {}

    record ShotAsked(
            @Nullable String name,
            @Nullable Double changeoverMinutes,
            @Nullable Double shootMinutes,
            @Nullable Map<String, @Nullable Double> watts) {

        DayShot shot() {
            Map<String, Double> drawn = new LinkedHashMap<>();
            RequestValues.required("watts", watts)
                    .forEach((unit, each) -> drawn.put(unit, RequestValues.number("watts", each)));
            return new DayShot(
                    RequestValues.required("name", name),
                    RequestValues.number("changeoverMinutes", changeoverMinutes),
                    RequestValues.number("shootMinutes", shootMinutes),
                    List.of(),
                    false,
                    null,
                    drawn);
        }
    }

    record BatteryAsked(@Nullable String unit, @Nullable Double wattHours, @Nullable Double usable) {

        DayBatteries.Battery battery() {
            return new DayBatteries.Battery(
                    RequestValues.required("unit", unit),
                    RequestValues.number("wattHours", wattHours),
                    RequestValues.number("usable", usable, BatteryRun.DEFAULT_USABLE));
        }
    }

    record DayAsked(
            @Nullable String start,
            @Nullable String wrap,
            @Nullable Double leastMinutes,
            @Nullable List<@Nullable PauseAsked> pauses,
            @Nullable List<@Nullable ShotAsked> shots,
            @Nullable List<@Nullable BatteryAsked> batteries,
            @Nullable Boolean offBetween) {}

    record ShotInTime(String name, String setUpFrom, String shootFrom, String shootTo) {}

    record SwapBefore(String unit, String before) {}

    /** @param late names of the shots that end after the wrap */
    record DayTimes(List<ShotInTime> shots, List<String> late, List<SwapBefore> swaps, Map<String, Integer> needed) {}

    @PostMapping("/day")
    DayTimes day(@RequestBody DayAsked asked) {
        TimeOfDay start = TimeOfDay.parse("start", RequestValues.required("start", asked.start));
        DayFrame frame = new DayFrame(
                start,
                time("wrap", asked.wrap, start),
                RequestValues.number("leastMinutes", asked.leastMinutes, DayFrame.USUAL_LEAST_MIN),
                RequestValues.list("pauses", asked.pauses).stream()
                        .map(p -> new Pause(
                                time("afterTime", p.afterTime, start),
                                time("beforeTime", p.beforeTime, start),
                                RequestValues.number("minutes", p.minutes)))
                        .toList(),
                null);
        Schedule schedule = Schedule.of(
                frame,
                RequestValues.list("shots", asked.shots).stream()
                        .map(ShotAsked::shot)
                        .toList());
        DayBatteries batteries = DayBatteries.of(
                schedule,
                RequestValues.list("batteries", asked.batteries).stream()
                        .map(BatteryAsked::battery)
                        .toList(),
                Boolean.TRUE.equals(asked.offBetween));
        return new DayTimes(
                schedule.slots().stream()
                        .map(s -> new ShotInTime(
                                s.shot().name(),
                                s.setUpFrom().print(),
                                s.shootFrom().print(),
                                s.shootTo().print()))
                        .toList(),
                schedule.slots().stream()
                        .filter(Schedule.Slot::late)
                        .map(s -> s.shot().name())
                        .toList(),
                batteries.swaps().stream()
                        .map(s -> new SwapBefore(s.unit(), s.before()))
                        .toList(),
                batteries.needed());
    }

    private static TimeOfDay time(String field, @Nullable String written, TimeOfDay start) {
        return TimeOfDay.parse(field, RequestValues.required(field, written)).notBefore(start);
    }

    record OpeningAsked(
            TapeController.@Nullable Flat from,
            TapeController.@Nullable Flat to,
            @Nullable Double sillM,
            @Nullable Double headM) {}

    record PointAsked(@Nullable Double x, @Nullable Double y, @Nullable Double z) {}

    record SunAsked(
            @Nullable Double latitude,
            @Nullable Double longitude,
            @Nullable String date,
            @Nullable String zone,
            @Nullable Double northDeg,
            @Nullable OpeningAsked opening,
            @Nullable PointAsked point) {}

    record SunSpan(String from, String to) {}

    record SunTimes(List<SunSpan> windows) {}

    @PostMapping("/sun-window")
    SunTimes sunWindow(@RequestBody SunAsked asked) {
        OpeningAsked given = RequestValues.required("opening", asked.opening);
        PlanPoint from = TapeController.Flat.point("from", given.from);
        PlanPoint to = TapeController.Flat.point("to", given.to);
        UprightOpening opening = new UprightOpening(
                from, to, RequestValues.number("sillM", given.sillM), RequestValues.number("headM", given.headM));
        PointAsked at = RequestValues.required("point", asked.point);
        SpacePoint point = new SpacePoint(
                RequestValues.number("x", at.x), RequestValues.number("y", at.y), RequestValues.number("z", at.z));
        opening.requireBeside(point);
        double north = RequestValues.number("northDeg", asked.northDeg, 0);
        return new SunTimes(new SunSpans(
                        RequestValues.number("latitude", asked.latitude),
                        RequestValues.number("longitude", asked.longitude),
                        date(RequestValues.required("date", asked.date)),
                        zone(RequestValues.required("zone", asked.zone)))
                .of(sun -> opening.letsIn(sun, north, point)).stream()
                        .map(DayBenchController::span)
                        .toList());
    }

    private static SunSpan span(LightSpan span) {
        return new SunSpan(span.from().print(), span.to().print());
    }

    private static LocalDate date(String written) {
        try {
            return LocalDate.parse(written);
        } catch (DateTimeException none) {
            throw new Refusal("date", "“%s” is no date: write it as 2026-11-17.".formatted(written));
        }
    }

    private static ZoneId zone(String written) {
        if (!ZoneId.getAvailableZoneIds().contains(written)) {
            throw new Refusal("zone", "“%s” is no time zone: write it as Etc/UTC.".formatted(written));
        }
        return ZoneId.of(written);
    }
}
