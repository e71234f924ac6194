package org.oblume.core.reach;

import java.util.Optional;
import org.oblume.core.units.Phrase;

/** One limit. */
@FunctionalInterface
interface ReachRule {

    /** Why a value cannot be, and the nearest that can; empty when it can. */
    Optional<Phrase> refuses(Wanted wanted);
}
