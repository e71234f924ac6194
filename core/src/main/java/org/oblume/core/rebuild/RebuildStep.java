package org.oblume.core.rebuild;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.caution.Caution;
import org.oblume.core.geometry.TapePair;
import org.oblume.core.plot.Placement;

/**
 * One thing to put back, with all that is needed to do it. The values themselves are the shot's resolved state.
 *
 * @param placement what to put back
 * @param tapes the two tapes that give its place, or null when no two landmarks do
 * @param cautions what to mind, each a sentence
 * @param newestChange when a value that this step rests on was last changed
 */
public record RebuildStep(Placement placement, @Nullable TapePair tapes, List<Caution> cautions, Instant newestChange) {

    public RebuildStep {
        cautions = List.copyOf(cautions);
    }
}
