package org.oblume.server.metering;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotState;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.LightMix;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.light.SourceColour;
import org.oblume.core.metering.DialCurve;
import org.oblume.core.metering.WhiteMatch;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.White;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;
import org.oblume.server.kit.KitService;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which ways there are to bring several lights to one white. */
@Service
@Transactional(readOnly = true)
class OneWhite {

    private final StoredScenes records;
    private final MeterService meter;
    private final UnitCurves units;
    private final KitService kit;

    OneWhite(StoredScenes records, MeterService meter, UnitCurves units, KitService kit) {
        this.records = records;
        this.meter = meter;
        this.units = units;
        this.kit = kit;
    }

    /**
     * Ways to bring lights to one white.
     *
     * @param referenceKey of the light that measures that white, or null for a white that was typed
     * @param typed that white, without a reference
     * @param others keys of the lights that are to agree
     */
    MeterView.WhiteMatchView agree(
            long shotId, @Nullable String referenceKey, @Nullable String typed, List<String> others) {
        RecordedShot shot = records.shot(shotId);
        List<String> nominal = new ArrayList<>();
        Placement reference = referenceKey == null ? null : shot.record().placement(referenceKey);
        WhitePoint white = reference == null ? typed(typed) : measured(shot, reference, nominal);
        Map<String, DialCurve> curves = new LinkedHashMap<>();
        for (String key : others) {
            Placement light = shot.record().placement(key);
            if (!key.equals(referenceKey)) {
                curves.put(
                        key,
                        units.curve(shot.scene().scene().productionId(), light, shot.state())
                                .orElseGet(() -> {
                                    nominal.add(light.name());
                                    return new DialCurve(List.of(new DialCurve.Point(
                                            UnitCurves.dialled(light, shot.state())
                                                    .orElseThrow(() -> notDialled(light)),
                                            colour(light, shot.state()))));
                                }));
            }
        }
        List<MeterView.WhiteMatchWay> ways =
                WhiteMatch.ways(shot.record(), shot.state(), reference, white, curves, kit.stock()).stream()
                        .map(w -> new MeterView.WhiteMatchWay(
                                w.way(),
                                w.way().label(),
                                w.words(),
                                w.changes().stream()
                                        .map(c -> new MeterView.ChangeToTry(c.placement(), c.attribute(), c.value()))
                                        .toList(),
                                w.residualMired(),
                                w.residualDuv()))
                        .toList();
        return new MeterView.WhiteMatchView(
                reference == null ? "the white that was typed" : reference.name(),
                white.kelvin().value(),
                white.duv().value(),
                ways,
                nominal);
    }

    private static WhitePoint typed(@Nullable String typed) {
        if (typed == null || typed.isBlank()) {
            throw new Refusal("white", "Type the white that they are to measure, such as 4300 or 4300 +0.002.");
        }
        White white = White.parse(typed);
        return WhitePoint.of(Kelvin.of(white.kelvin()), Duv.of(white.duv()));
    }

    /**
     * What a light measured last in this shot; what its stock figures say when it was not read.
     *
     * @param nominal takes its name then
     */
    private WhitePoint measured(RecordedShot shot, Placement light, List<String> nominal) {
        return meter.ofShot(shot.shot().id()).stream()
                .filter(r -> light.key().equals(r.alone()) && r.kelvin() != null)
                .map(r -> WhitePoint.of(Kelvin.of(r.kelvin()), Duv.of(r.duv() == null ? 0 : r.duv())))
                .reduce((a, b) -> b)
                .orElseGet(() -> {
                    nominal.add(light.name());
                    return colour(light, shot.state());
                });
    }

    private static WhitePoint colour(Placement light, ShotState state) {
        return SourceColour.leaving(light, state)
                .map(LightMix::reading)
                .filter(ColourReading::isWhite)
                .map(white -> WhitePoint.of(Kelvin.of(white.kelvin()), Duv.of(white.duv())))
                .orElseThrow(() -> notDialled(light));
    }

    private static Refusal notDialled(Placement light) {
        return new Refusal("%s has no white that could agree with another: read it alone with a colour meter first."
                .formatted(light.name()));
    }
}
