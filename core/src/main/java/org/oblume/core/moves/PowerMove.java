package org.oblume.core.moves;

import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Place;
import org.oblume.core.units.Phrase;

/** A light that comes in, or is moved farther than its cable reaches, gets power where it stands. */
final class PowerMove implements MoveRule {

    /** A light that is moved farther needs its cable run anew (model). */
    private static final double CABLE_REACHES_M = 2;

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        boolean needed = change.isBrought() || (change.isChanged() && movedM(change) >= CABLE_REACHES_M);
        if (needed && change.thing().kind().isLight() && change.thing().piece().watts() > 0) {
            draft.add(
                    change.thing(),
                    Department.ELECTRIC,
                    Job.POWER,
                    Phrase.of("Power to %s, ramp over the cable"
                            .formatted(change.thing().name())));
        }
    }

    private static double movedM(ThingChange change) {
        return change.of(Attribute.PLACE)
                .flatMap(d -> ThingChange.as(Place.class, d.before())
                        .flatMap(before -> ThingChange.as(Place.class, d.after())
                                .map(after -> before.point().distanceM(after.point()))))
                .orElse(0.0);
    }
}
