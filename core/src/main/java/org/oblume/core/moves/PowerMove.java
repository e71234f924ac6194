package org.oblume.core.moves;

import java.util.Optional;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Place;
import org.oblume.core.units.Phrase;

/** A light that comes in, is fed otherwise, or is moved farther than its cable reaches, gets power where it stands. */
final class PowerMove implements MoveRule {

    /** A light that is moved farther needs its cable run anew (model). */
    private static final double CABLE_REACHES_M = 2;

    @Override
    public void plan(ThingChange change, MoveDraft draft) {
        Optional<Feed> feed = change.value(Feed.class);
        boolean battery = feed.filter(f -> f.from() == Feed.From.BATTERY).isPresent();
        boolean fedAnew = change.isChanged()
                && change.of(Attribute.FEED).filter(d -> d.after() != null).isPresent();
        boolean moved = change.isChanged() && !battery && movedM(change) >= CABLE_REACHES_M;
        boolean needed = change.isBrought() || moved || fedAnew;
        if (needed && change.thing().kind().isLight() && change.thing().piece().watts() > 0) {
            String name = change.thing().name();
            Phrase said = battery
                    ? Phrase.of("%s onto a full battery".formatted(name))
                    : feed.map(f -> Phrase.format("Power to %s from %s, ramp over the cable", name, f.phrase()))
                            .orElse(Phrase.of("Power to %s, ramp over the cable".formatted(name)));
            draft.add(change.thing(), Department.ELECTRIC, Job.POWER, said);
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
