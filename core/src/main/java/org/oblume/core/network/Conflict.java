package org.oblume.core.network;

import java.util.List;
import java.util.Map;
import org.oblume.core.plot.Patch;

/**
 * Something in the patch that cannot work.
 *
 * @param kind what kind of thing is wrong
 * @param about keys of the placements, or names of the nodes, that it is about
 * @param sentence what is wrong
 * @param fix what to do
 * @param proposal new patches by key that would mend it; empty when it is mended elsewhere
 */
public record Conflict(Kind kind, List<String> about, String sentence, String fix, Map<String, Patch> proposal) {

    /** Kinds of conflict. */
    public enum Kind {
        OVERLAP,
        PAST_512,
        SAME_UNIT_TWICE,
        FOOTPRINT,
        UNKNOWN_MODE,
        MODE_LACKS,
        NO_ADDRESS,
        NODE_CLASH,
        NODE_OUTSIDE,
        NOT_CARRIED,
        TWO_SOURCES,
        OVERRULED
    }

    public Conflict {
        about = List.copyOf(about);
        proposal = Map.copyOf(proposal);
    }
}
