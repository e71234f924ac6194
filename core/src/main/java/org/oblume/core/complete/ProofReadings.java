package org.oblume.core.complete;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.light.MarkLight;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.metering.Reading;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Stops;

/** What still has to be metered so that a rebuild can be proved: the shortest list of readings. */
public final class ProofReadings {

    /** A light that brings less to either cheek changes no picture, stops under the camera's stop. */
    private static final double LEAST_STOPS = -4;

    private ProofReadings() {}

    /**
     * A reading that is missing.
     *
     * @param mark key of the mark
     * @param alone key of the light to be on alone, or null for all of them
     */
    public record Wanted(String mark, @Nullable String alone) {}

    /**
     * One of all lights at each mark, and one of each light alone that brings at least −4 stops to one of a mark's cheeks; beside the lit
     * cheek instead of the camera's stop where no exposure is recorded.
     *
     * @param light of the shot
     * @param readings made of it
     * @return in the order of the marks, all lights first
     */
    public static List<Wanted> missing(ShotLighting light, List<Reading> readings) {
        List<Wanted> missing = new ArrayList<>();
        for (MarkLight mark : light.marks()) {
            if (readings.stream().noneMatch(r -> isOf(r, mark.key(), null))) {
                missing.add(new Wanted(mark.key(), null));
            }
            for (Placement one : light.lights()) {
                if (matters(light, mark, one.key())
                        && readings.stream().noneMatch(r -> one.key().equals(r.alone()) && isOf(r, r.mark(), one.key()))
                        && missing.stream().noneMatch(w -> one.key().equals(w.alone()))) {
                    missing.add(new Wanted(mark.key(), one.key()));
                }
            }
        }
        return missing;
    }

    private static boolean isOf(Reading reading, String mark, @Nullable String alone) {
        return reading.lux() != null
                && reading.mark().equals(mark)
                && (alone == null ? reading.alone() == null : alone.equals(reading.alone()));
    }

    private static boolean matters(ShotLighting light, MarkLight mark, String source) {
        int index = light.lights().stream().map(Placement::key).toList().indexOf(source);
        double most = Math.max(
                mark.left().luxOfEach().get(index), mark.right().luxOfEach().get(index));
        if (most <= 0) {
            return false;
        }
        Stops over = light.metering()
                .map(m -> m.over(most))
                .orElseGet(() -> Stops.fromRatio(most / mark.lit().lux()));
        return over.value() >= LEAST_STOPS;
    }
}
