package org.oblume.server.metering;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.oblume.core.carry.ShotState;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.metering.DialCurve;
import org.oblume.core.metering.Reading;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the units of a production measure when they are dialled, each on each of its paths. */
@Service
@Transactional
class UnitCurves {

    private final DialPointRepository points;

    UnitCurves(DialPointRepository points) {
        this.points = points;
    }

    /** Keeps what a reading of one light alone says of its unit, when its colour was read and it can be dialled. */
    void keep(
            long productionId,
            long readingId,
            Placement light,
            ShotState state,
            Reading reading,
            String author,
            Instant at) {
        if (reading.kelvin() != null) {
            WhitePoint measured =
                    WhitePoint.of(Kelvin.of(reading.kelvin()), Duv.of(reading.duv() == null ? 0 : reading.duv()));
            dialled(light, state)
                    .ifPresent(d -> points.save(new DialPointEntity(
                            productionId,
                            readingId,
                            unit(light),
                            path(light, state),
                            new DialCurve.Point(d, measured),
                            author,
                            at)));
        }
    }

    /** What was measured of a light's unit on the path that it has in a shot; a dialled colour that was measured again counts as it was read last. */
    @Transactional(readOnly = true)
    Optional<DialCurve> curve(long productionId, Placement light, ShotState state) {
        List<DialPointEntity> rows =
                points.findByProductionIdAndUnitAndPathOrderById(productionId, unit(light), path(light, state));
        return rows.isEmpty() ? Optional.empty() : Optional.of(curve(rows));
    }

    @Transactional(readOnly = true)
    List<MeterView.UnitPath> all(long productionId) {
        Map<List<String>, List<DialPointEntity>> byPath = new LinkedHashMap<>();
        points.findByProductionIdOrderById(productionId)
                .forEach(p -> byPath.computeIfAbsent(List.of(p.unit(), p.path()), k -> new ArrayList<>())
                        .add(p));
        return byPath.entrySet().stream()
                .map(e -> new MeterView.UnitPath(
                        e.getKey().get(0),
                        e.getKey().get(1),
                        curve(e.getValue()).points().stream()
                                .map(p -> new MeterView.MeasuredDial(
                                        p.dialled().kelvin().value(),
                                        p.dialled().duv().value(),
                                        p.measured().kelvin().value(),
                                        p.measured().duv().value()))
                                .toList()))
                .toList();
    }

    private static DialCurve curve(List<DialPointEntity> rows) {
        return DialCurve.ofNewest(rows.stream().map(DialPointEntity::point).toList());
    }

    static Optional<WhitePoint> dialled(Placement light, ShotState state) {
        double tint = state.value(light.key(), Tint.class).map(Tint::duv).orElse(0.0);
        return state.value(light.key(), ColourTemperature.class)
                .map(d -> WhitePoint.of(Kelvin.of(d.kelvin()), Duv.of(tint)));
    }

    /** What a unit is told apart by: its own name, or what it is called on the plot. */
    static String unit(Placement light) {
        return light.piece().unit() == null ? light.name() : light.piece().unit();
    }

    static String path(Placement light, ShotState state) {
        return state.value(light.key(), Modifiers.class).map(Modifiers::say).orElse(Modifiers.NONE.say());
    }
}
