package org.oblume.core.caution;

import java.util.Optional;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.plot.Placement;

/** One rule: whether a thing, as it is recorded in a shot, bears a risk. */
@FunctionalInterface
interface CautionRule {

    Optional<Caution> of(Placement placement, RecordedState state);
}
