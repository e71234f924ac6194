package org.oblume.core.proof;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What readings say of a rebuild.
 *
 * @param asRecorded whether nothing that was read needs an explanation
 * @param byChance how often a rebuild that is as recorded would read so far off, 0 to 1 (chi-square)
 * @param findings what explains what was read best, by the lights and the grip that it is at, the likeliest first, whether anything needs
 *     explaining or not; none when nothing was read
 * @param next the reading that would tell them apart best; null when none would, or it is plain enough
 */
public record Diagnosis(
        boolean asRecorded, double byChance, List<Finding> findings, ProofReading.@Nullable Wanted next) {

    /** From this on it is told as likely, of 1. */
    public static final double LIKELY_FROM = 0.7;

    public Diagnosis {
        findings = List.copyOf(findings);
    }

    /**
     * One explanation: faults of certain kinds at certain things.
     *
     * @param faults one, or two that are so at the same time: of the likeliest size
     * @param share of all that is likely, 0 to 1
     * @param atThings share of all that is likely with a fault at the same things, whatever its kind, 0 to 1
     */
    public record Finding(List<Fault> faults, double share, double atThings) {

        public Finding {
            faults = List.copyOf(faults);
        }

        public boolean isLikely() {
            return share >= LIKELY_FROM;
        }

        /** Keys of the lights and the grip that it is at, in order. */
        public List<String> things() {
            return faults.stream().map(Fault::thing).distinct().sorted().toList();
        }
    }
}
