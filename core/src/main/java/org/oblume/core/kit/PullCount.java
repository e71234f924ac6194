package org.oblume.core.kit;

import org.oblume.core.units.Refusal;

/**
 * A line of a pull list as it is counted out of the store and back into it.
 *
 * @param wanted 0 or more
 * @param out 0 or more; more than wanted is allowed, for a crew takes spares
 * @param back 0 to what went out
 */
public record PullCount(int wanted, int out, int back) {

    private static final int MOST = 100_000;

    public PullCount {
        if (wanted < 0 || wanted > MOST || out < 0 || out > MOST) {
            throw new Refusal("out", "Count from 0 to %d.".formatted(MOST));
        }
        if (back < 0 || back > out) {
            throw new Refusal(
                    "back",
                    out == 0
                            ? "Nothing of it went out, so nothing comes back: count it out first."
                            : "Only %d went out: count back 0 to %d, or count out what else was taken."
                                    .formatted(out, out));
        }
    }

    /** What has not been counted out yet. */
    public int toTake() {
        return Math.max(0, wanted - out);
    }

    /** What went out and has not come back. */
    public int missing() {
        return out - back;
    }
}
