package org.oblume.rig;

import org.jspecify.annotations.Nullable;

/**
 * What a network can do to a receiver.
 *
 * @param kind what is done
 * @param universe that another source sends; 1 when it is left out
 * @param priority that it sends with; 100 when it is left out
 */
public record Disturbance(Kind kind, @Nullable Integer universe, @Nullable Integer priority) {

    /** Another source comes, all others go, packets that cannot be read, far too many of them. */
    public enum Kind {
        RIVAL,
        QUIET,
        MALFORMED,
        FLOOD
    }
}
