package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import org.oblume.core.geometry.Aim;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Beam;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Optics;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.units.Bearing;

/** A head that stands nearer, farther, higher or lower, looks elsewhere, or is zoomed otherwise. */
final class StandFaults implements FaultFamily {

    private static final double[] DISTANCES = {0.7, 0.8, 0.9, 1.12, 1.25, 1.4};
    private static final double[] HEIGHTS_M = {-0.8, -0.5, -0.25, 0.25, 0.5, 0.8};
    private static final double[] PANS_DEG = {-30, -21, -14, -7, 7, 14, 21, 30};
    private static final double[] TILTS_DEG = {-25, -15, -7, 7, 15, 25};
    private static final double[] ZOOMS = {0.5, 0.7, 1.4, 2};
    private static final double STEEPEST_DEG = 90;
    private static final int PERCENT = 100;

    @Override
    public List<Fault> of(Recorded shot) {
        List<Fault> all = new ArrayList<>();
        for (int i = 0; i < shot.lights().size(); i++) {
            Placement light = shot.lights().get(i);
            if (light.kind() != PlacementKind.DAYLIGHT) {
                all.addAll(DimmingFaults.shared(distances(shot, i, light)));
                all.addAll(DimmingFaults.shared(heights(shot, i, light)));
                all.addAll(DimmingFaults.shared(aims(shot, i, light)));
                all.addAll(DimmingFaults.shared(zooms(shot, i, light)));
            }
        }
        return all;
    }

    private static List<Fault> distances(Recorded shot, int index, Placement light) {
        List<Fault> here = new ArrayList<>();
        SpacePoint at = shot.state().position(light.key()).orElseThrow();
        Place recorded = shot.value(light, Place.class).orElseThrow();
        SpacePoint mark = shot.value(light, AimSetting.class)
                .map(AimSetting::mark)
                .flatMap(shot.state()::position)
                .or(() -> shot.light().marks().stream().findFirst().map(m -> m.face()))
                .orElse(at);
        for (double factor : DISTANCES) {
            Place moved = new Place(
                    mark.xM() + factor * (at.xM() - mark.xM()),
                    mark.yM() + factor * (at.yM() - mark.yM()),
                    recorded.outside());
            add(
                    here,
                    shot,
                    index,
                    Fault.Kind.DISTANCE,
                    "%s stands about %d %% %s"
                            .formatted(
                                    light.name(),
                                    Math.round(PERCENT * Math.abs(factor - 1)),
                                    factor < 1 ? "nearer" : "farther"),
                    moved);
        }
        return here;
    }

    private static List<Fault> heights(Recorded shot, int index, Placement light) {
        List<Fault> here = new ArrayList<>();
        double recorded = shot.value(light, Height.class).map(Height::heightM).orElse(0.0);
        for (double off : HEIGHTS_M) {
            if (recorded + off > 0) {
                add(
                        here,
                        shot,
                        index,
                        Fault.Kind.HEIGHT,
                        "%s is at about %s, recorded %s"
                                .formatted(light.name(), new Height(recorded + off).say(), new Height(recorded).say()),
                        new Height(recorded + off));
            }
        }
        return here;
    }

    private static List<Fault> aims(Recorded shot, int index, Placement light) {
        List<Fault> here = new ArrayList<>();
        Aim aim = shot.state().aim(light.key()).orElseThrow();
        for (double pan : PANS_DEG) {
            aim(here, shot, index, aim, pan, 0, pan < 0 ? "left" : "right");
        }
        for (double tilt : TILTS_DEG) {
            if (Math.abs(aim.tiltDeg() + tilt) <= STEEPEST_DEG) {
                aim(here, shot, index, aim, 0, tilt, tilt < 0 ? "down" : "up");
            }
        }
        return here;
    }

    private static void aim(
            List<Fault> here, Recorded shot, int index, Aim aim, double pan, double tilt, String which) {
        add(
                here,
                shot,
                index,
                Fault.Kind.AIM,
                "%s looks about %d° %s of where it should"
                        .formatted(shot.lights().get(index).name(), Math.round(Math.abs(pan + tilt)), which),
                AimSetting.along(
                        Bearing.ofDegrees(aim.bearing().degrees() + pan).degrees(), aim.tiltDeg() + tilt));
    }

    private static List<Fault> zooms(Recorded shot, int index, Placement light) {
        List<Fault> here = new ArrayList<>();
        shot.value(light, Beam.class).ifPresent(beam -> {
            Optics optics =
                    light.piece().lamp() == null ? null : light.piece().lamp().optics();
            if (optics != null && optics.spotBeamDeg() < optics.floodBeamDeg()) {
                DoubleStream.of(ZOOMS)
                        .map(zoom ->
                                Math.max(optics.spotBeamDeg(), Math.min(optics.floodBeamDeg(), beam.beamDeg() * zoom)))
                        .filter(wide -> Math.abs(wide / beam.beamDeg() - 1) > 0.1)
                        .distinct()
                        .forEach(wide -> add(
                                here,
                                shot,
                                index,
                                Fault.Kind.ZOOM,
                                "%s is zoomed to about %s, recorded %s"
                                        .formatted(light.name(), new Beam(Math.rint(wide)).say(), beam.say()),
                                new Beam(wide)));
            }
        });
        return here;
    }

    private static void add(
            List<Fault> here, Recorded shot, int index, Fault.Kind kind, String words, AttributeValue otherwise) {
        shot.of(index, otherwise)
                .ifPresent(rows -> here.add(new Fault(
                        kind, shot.lights().get(index).key(), words, 1, new Fault.Rows(Map.of(index, rows)))));
    }
}
