package org.oblume.core.complete;

import java.util.Optional;

/** One thing that a record needs. A new one is a class that implements this, and a line in {@link Completeness}. */
interface CompletenessRule {

    /** What of it is missing; empty when the record has it, or the thing needs none. */
    Optional<Finding> look(RecordedThing thing);
}
