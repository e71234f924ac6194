package org.oblume.server.bench;

import java.time.DateTimeException;
import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.photometry.LevelHold;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.units.Percent;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.server.call.Asks;
import org.oblume.server.call.ForAnyone;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Distance, softness, and the sun. */
@ForAnyone
@Asks
@RestController
@RequestMapping("/api/bench")
class PhotometryController {

    record Move(
            @Nullable Double fromDistanceM,
            @Nullable Double toDistanceM,
            @Nullable Double emitterRadiusM,
            @Nullable Double levelPercent,
            @Nullable LevelCurve curve) {}

    record Moved(
            double stopsChange,
            double levelPercent,
            boolean reachable,
            double shortfallStops,
            double angularSizeFromDeg,
            double angularSizeToDeg) {}

    @PostMapping("/move")
    Moved move(@RequestBody Move asked) {
        LevelHold move = LevelHold.of(
                RequestValues.number("fromDistanceM", asked.fromDistanceM()),
                RequestValues.number("toDistanceM", asked.toDistanceM()),
                RequestValues.number("emitterRadiusM", asked.emitterRadiusM(), 0),
                RequestValues.value("levelPercent", asked.levelPercent(), Percent::of),
                RequestValues.required("curve", asked.curve()));
        return new Moved(
                move.change().value(),
                move.level().value(),
                move.reachable(),
                move.shortfall().value(),
                move.angularSizeFromDeg(),
                move.angularSizeToDeg());
    }

    record Edge(
            @Nullable Double sourceRadiusM,
            @Nullable Double sourceToEdgeM,
            @Nullable Double edgeToSurfaceM,
            @Nullable Double openingWidthM) {}

    /**
     * @param fanDeg and {@code parallel}: only with an opening
     * @param parallel whether the fan reads as parallel (model)
     */
    record Thrown(
            double angularSizeDeg,
            double penumbraM,
            Phrase penumbra,
            @Nullable Double fanDeg,
            @Nullable Boolean parallel) {}

    @PostMapping("/shadow")
    Thrown shadow(@RequestBody Edge asked) {
        Shadow shadow = new Shadow(
                RequestValues.number("sourceRadiusM", asked.sourceRadiusM()),
                RequestValues.number("sourceToEdgeM", asked.sourceToEdgeM()),
                RequestValues.number("edgeToSurfaceM", asked.edgeToSurfaceM()));
        Double fan = asked.openingWidthM() == null
                ? null
                : shadow.fanDeg(RequestValues.number("openingWidthM", asked.openingWidthM()));
        return new Thrown(
                shadow.angularSizeDeg(),
                shadow.penumbraM(),
                Phrase.width(shadow.penumbraM()),
                fan,
                fan == null ? null : fan < Shadow.PARALLEL_BELOW_DEG);
    }

    record PlaceAndTime(@Nullable Double latitude, @Nullable Double longitude, @Nullable String instant) {}

    /**
     * @param azimuthDeg clockwise from true north
     * @param elevationDeg above the horizon, without refraction
     */
    record Sun(double azimuthDeg, double elevationDeg) {}

    @PostMapping("/sun")
    Sun sun(@RequestBody PlaceAndTime asked) {
        double latitude = RequestValues.number("latitude", asked.latitude());
        double longitude = RequestValues.number("longitude", asked.longitude());
        String instant = RequestValues.required("instant", asked.instant());
        try {
            SunDirection sun = SunDirection.at(
                    latitude, longitude, OffsetDateTime.parse(instant).toInstant());
            return new Sun(sun.azimuth().degrees(), sun.elevationDeg());
        } catch (DateTimeException notATime) {
            throw new Refusal(
                    "instant",
                    "“%s” is not a time with its offset: write it like 2026-06-21T13:25:00+02:00.".formatted(instant));
        }
    }
}
