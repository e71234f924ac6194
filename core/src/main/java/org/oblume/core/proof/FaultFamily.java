package org.oblume.core.proof;

import java.util.List;

/** What can be wrong in one way: each kind of fault that is looked for is one of these. */
interface FaultFamily {

    /** All that are looked for. */
    List<FaultFamily> ALL = List.of(
            new DimmingFaults(),
            new WhiteFaults(),
            new FilterFaults(),
            new StandFaults(),
            new GripFaults(),
            new PlaceLight());

    /** Everything of its kind that could be wrong in a shot, with what lights would then bring. */
    List<Fault> of(Recorded shot);
}
