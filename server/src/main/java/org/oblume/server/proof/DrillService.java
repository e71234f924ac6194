package org.oblume.server.proof;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import org.jspecify.annotations.Nullable;
import org.oblume.core.light.Turned;
import org.oblume.core.metering.Reading;
import org.oblume.core.metering.Signals;
import org.oblume.core.proof.Diagnosis;
import org.oblume.core.proof.Drill;
import org.oblume.core.proof.Fault;
import org.oblume.core.proof.MadeWrong;
import org.oblume.core.proof.MeterReadings;
import org.oblume.core.proof.ProofReading;
import org.oblume.core.proof.Suspects;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Phrase;
import org.oblume.core.units.Refusal;
import org.oblume.core.units.Stops;
import org.oblume.server.kit.KitService;
import org.oblume.server.metering.LightCalibrations;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.NotFoundException;
import org.springframework.stereotype.Service;

/** Drills: kept in memory for some hours, and nothing of them in the production. */
@Service
class DrillService {

    private static final int AT_ONCE = 100;
    private static final Duration KEPT = Duration.ofHours(6);
    private static final int SEEDS = 10_000;
    private static final int WHOLE = 100;
    private static final int DUV_PLACES = 4;

    private final StoredScenes records;
    private final LightCalibrations calibrations;
    private final KitService kit;
    private final KnownSuspects known;
    private final Clock clock;
    private final Cache<String, Begun> drills =
            Caffeine.newBuilder().maximumSize(AT_ONCE).expireAfterAccess(KEPT).build();

    /** One that goes on; its readings and its answer change under its own lock. */
    private static final class Begun {

        private final String id = UUID.randomUUID().toString();
        private final Drill drill;
        private final long seed;
        private final Drill.Difficulty difficulty;
        private final Instant at;
        private DrillView.@Nullable Answered answered;

        Begun(Drill drill, long seed, Drill.Difficulty difficulty, Instant at) {
            this.drill = drill;
            this.seed = seed;
            this.difficulty = difficulty;
            this.at = at;
        }
    }

    DrillService(
            StoredScenes records, LightCalibrations calibrations, KitService kit, KnownSuspects known, Clock clock) {
        this.records = records;
        this.calibrations = calibrations;
        this.kit = kit;
        this.known = known;
        this.clock = clock;
    }

    /**
     * Hides something in a shot that is rebuilt nowhere but here.
     *
     * @param seed with which the same is hidden again, or null for another each time
     */
    DrillView begin(long shotId, Drill.Difficulty difficulty, @Nullable Long seed) {
        RecordedShot shot = records.shot(shotId);
        Suspects suspects = known.of(shot.record(), shot.state(), calibrations.of(shot.scene()), kit.stock())
                .join();
        long with = seed == null ? ThreadLocalRandom.current().nextLong(SEEDS) : seed;
        Begun begun = new Begun(Drill.of(suspects, with, difficulty), with, difficulty, clock.instant());
        drills.put(begun.id, begun);
        return view(begun);
    }

    /** @param which of what can be read, from 0 */
    DrillView read(String id, int which) {
        Begun begun = begun(id);
        synchronized (begun) {
            requireOpen(begun);
            List<ProofReading.Wanted> readable = begun.drill.readable();
            if (which < 0 || which >= readable.size()) {
                throw new Refusal("reading", "That cannot be read in this drill: choose one of the list.");
            }
            begun.drill.read(readable.get(which));
            return view(begun);
        }
    }

    /** @param things keys of the lights that something is said to be wrong at */
    DrillView answer(String id, Set<String> things) {
        Begun begun = begun(id);
        synchronized (begun) {
            requireOpen(begun);
            if (things.isEmpty()) {
                throw new Refusal("things", "Say at which light it is.");
            }
            begun.answered = new DrillView.Answered(
                    begun.drill.isFoundBy(things),
                    Duration.between(begun.at, clock.instant()).toSeconds(),
                    begun.drill.hidden().stream().map(MadeWrong::words).toList(),
                    begun.drill.told().stream().map(DrillService::told).toList());
            return view(begun);
        }
    }

    private static DrillView.Told told(Optional<Diagnosis.Finding> found) {
        return found.map(f -> new DrillView.Told(
                        f.faults().stream().map(Fault::words).toList(), (int) Math.round(WHOLE * f.share())))
                .orElse(new DrillView.Told(List.of(), 0));
    }

    private Begun begun(String id) {
        return Optional.ofNullable(drills.getIfPresent(id))
                .orElseThrow(() -> new NotFoundException("That drill is over: begin another one."));
    }

    private static void requireOpen(Begun begun) {
        if (begun.answered != null) {
            throw new Refusal("That drill is answered: begin another one.");
        }
    }

    private static DrillView view(Begun begun) {
        Drill drill = begun.drill;
        return new DrillView(
                begun.id,
                begun.seed,
                begun.difficulty,
                drill.hidden().size(),
                begun.at,
                drill.readable().stream().map(w -> readable(drill, w)).toList(),
                drill.shot().lights().stream()
                        .map(l -> new DrillView.DrilledLight(l.key(), l.name()))
                        .toList(),
                drill.readings().stream().map(r -> reading(drill, r)).toList(),
                begun.answered);
    }

    private static DrillView.ReadingToMake readable(Drill drill, ProofReading.Wanted wanted) {
        String light = wanted.alone();
        String mark = drill.shot().marks().size() < 2
                ? ""
                : ", " + drill.shot().placement(wanted.probe().mark()).name();
        return new DrillView.ReadingToMake(
                light == null ? null : drill.shot().placement(light).name(),
                (light == null ? MeterReadings.place(drill.shot(), wanted.probe()) : "turned to it") + mark);
    }

    private static DrillView.DrillReading reading(Drill drill, ProofReading read) {
        ProofReading.Wanted wanted = new ProofReading.Wanted(read.probe(), read.alone());
        ProofReading recorded = drill.recorded(wanted);
        return new DrillView.DrillReading(
                readable(drill, wanted),
                words(drill, read),
                words(drill, recorded),
                read.lux() == null || recorded.lux() == null
                        ? null
                        : Double.valueOf(
                                Stops.fromRatio(read.lux() / recorded.lux()).value()),
                read.kelvin() == null || recorded.kelvin() == null
                        ? null
                        : Double.valueOf(
                                Kelvin.MIRED_PRODUCT / read.kelvin() - Kelvin.MIRED_PRODUCT / recorded.kelvin()),
                read.duv() == null || recorded.duv() == null ? null : Double.valueOf(read.duv() - recorded.duv()));
    }

    private static Phrase words(Drill drill, ProofReading read) {
        return new Reading(
                        read.probe().mark(),
                        read.alone(),
                        read.lux(),
                        null,
                        null,
                        read.kelvin() == null ? null : (double) Math.round(read.kelvin()),
                        read.duv() == null ? null : rounded(read.duv()),
                        Signals.NONE,
                        read.alone() == null ? null : Turned.TO_LIGHT,
                        null,
                        List.of())
                .say(drill.shot().camera().orElse(null));
    }

    private static double rounded(double duv) {
        double whole = Math.pow(10, DUV_PLACES);
        return Math.round(duv * whole) / whole;
    }
}
