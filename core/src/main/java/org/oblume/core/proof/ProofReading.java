package org.oblume.core.proof;

import org.jspecify.annotations.Nullable;

/**
 * One thing that a meter read.
 *
 * @param alone key of the light that was on alone, or null for all of them
 * @param lux 0 or more, or null when the amount was not read
 * @param kelvin or null when the colour was not read
 * @param duv with the kelvin, or null
 */
public record ProofReading(
        Probe probe, @Nullable String alone, @Nullable Double lux, @Nullable Double kelvin, @Nullable Double duv) {

    /** What could be read next. */
    public record Wanted(Probe probe, @Nullable String alone) {}
}
