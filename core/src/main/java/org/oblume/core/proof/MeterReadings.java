package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.metering.MeterPlace;
import org.oblume.core.metering.PlaceReading;
import org.oblume.core.metering.Reading;

/** What a crew's readings say for a proof, and what it can read besides. */
public final class MeterReadings {

    private static final Map<Probe.Way, String> PLACES = Map.of(
            Probe.Way.BACKGROUND, MeterPlace.BACKGROUND.label(),
            Probe.Way.BACK_LEFT, MeterPlace.BACK_LEFT.label(),
            Probe.Way.BACK_RIGHT, MeterPlace.BACK_RIGHT.label(),
            Probe.Way.TO_ONE_OF_ALL, MeterPlace.KEY.label());

    private MeterReadings() {}

    /** One line on the meter: one light alone, or all lights at several places. A place of the crew's own says nothing. */
    public static Stream<ProofReading> of(Recorded shot, Reading reading) {
        if (reading.alone() != null) {
            return Stream.of(new ProofReading(
                    Probe.alone(reading.mark(), reading.towards()),
                    reading.alone(),
                    reading.lux(),
                    reading.kelvin(),
                    reading.duv()));
        }
        ShotLighting light = shot.light();
        List<ProofReading> all = new ArrayList<>();
        if (reading.lux() != null || reading.kelvin() != null) {
            all.add(new ProofReading(
                    Probe.lit(light, reading.mark()), null, reading.lux(), reading.kelvin(), reading.duv()));
        }
        add(all, light, reading, MeterPlace.SHADOW, reading.shadowLux());
        add(all, light, reading, MeterPlace.BACKGROUND, reading.backgroundLux());
        for (PlaceReading place : reading.places()) {
            Probe.at(light, reading.mark(), place.place())
                    .filter(probe -> place.lux() != null || place.kelvin() != null)
                    .ifPresent(
                            probe -> all.add(new ProofReading(probe, null, place.lux(), place.kelvin(), place.duv())));
        }
        return all.stream();
    }

    private static void add(
            List<ProofReading> all, ShotLighting light, Reading reading, MeterPlace place, @Nullable Double lux) {
        if (lux != null) {
            Probe.at(light, reading.mark(), place)
                    .ifPresent(probe -> all.add(new ProofReading(probe, null, lux, null, null)));
        }
    }

    /** What a crew can read: each place of each mark under all lights, once, and each light alone at each mark. */
    public static List<ProofReading.Wanted> wanted(Recorded shot, List<ProofReading> read) {
        List<ProofReading.Wanted> all = new ArrayList<>();
        for (String mark : shot.marks()) {
            all.add(new ProofReading.Wanted(Probe.lit(shot.light(), mark), null));
            Stream.of(MeterPlace.values())
                    .map(place -> Probe.at(shot.light(), mark, place))
                    .flatMap(Optional::stream)
                    .forEach(probe -> all.add(new ProofReading.Wanted(probe, null)));
            shot.lights().forEach(l -> all.add(new ProofReading.Wanted(new Probe(mark, Probe.Way.TO_LIGHT), l.key())));
        }
        all.removeIf(w -> w.alone() == null
                && read.stream().anyMatch(r -> r.alone() == null && r.probe().equals(w.probe())));
        return all;
    }

    /** Where it is, as it is typed: {@code lit cheek}, {@code back left}. */
    public static String place(Recorded shot, Probe probe) {
        return Optional.ofNullable(PLACES.get(probe.way()))
                .orElseGet(() ->
                        probe.equals(Probe.lit(shot.light(), probe.mark())) ? "lit cheek" : MeterPlace.SHADOW.label());
    }
}
