package org.oblume.core.metering;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.oblume.core.units.Numbers;

/**
 * How the output of a unit went, by readings of it alone set beside what its kind is predicted to give there. Model: what a room sends back
 * is in the prediction; a reading in another place may differ by that, so that less than {@link #TOLD_STOPS} says nothing.
 *
 * @param againstKindStops its newest reading against the prediction, stops, + is brighter
 * @param sinceFirstStops its newest against its first, stops; 0 of a single reading
 * @param first when it was first read alone
 */
public record OutputDrift(
        double againstKindStops, double sinceFirstStops, Instant first, Instant newest, int readings) {

    /** What is told: more than two meters differ by. */
    public static final double TOLD_STOPS = 0.3;

    /** A reading of a unit alone: over its prediction, stops. */
    public record Solo(Instant at, double overStops) {}

    /** @param solos in the order in which they were read; empty gives nothing */
    public static Optional<OutputDrift> of(List<Solo> solos) {
        if (solos.isEmpty()) {
            return Optional.empty();
        }
        Solo first = solos.get(0);
        Solo newest = solos.get(solos.size() - 1);
        return Optional.of(new OutputDrift(
                newest.overStops, newest.overStops - first.overStops, first.at, newest.at, solos.size()));
    }

    /** {@code 0.3 stop down since it was first read}; empty when nothing is to be told. */
    public Optional<String> say() {
        if (Math.abs(sinceFirstStops) >= TOLD_STOPS) {
            return Optional.of("%s stop %s since it was first read alone"
                    .formatted(Numbers.fixed(Math.abs(sinceFirstStops), 1), sinceFirstStops < 0 ? "down" : "up"));
        }
        if (Math.abs(againstKindStops) >= TOLD_STOPS) {
            return Optional.of("%s stop %s its kind"
                    .formatted(Numbers.fixed(Math.abs(againstKindStops), 1), againstKindStops < 0 ? "below" : "above"));
        }
        return Optional.empty();
    }
}
