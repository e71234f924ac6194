package org.oblume.core.complete;

import java.util.Optional;
import org.oblume.core.plot.Feed;
import org.oblume.core.units.Phrase;

/** What feeds a light that is on, where it was said of others in the shot: a stranger finds a socket, the load is not counted. */
final class FeedSaid implements CompletenessRule {

    @Override
    public Optional<Finding> look(RecordedThing thing) {
        return thing.isLit()
                        && thing.othersAreFed()
                        && thing.placement().piece().watts() > 0
                        && thing.value(Feed.class).isEmpty()
                ? Optional.of(Finding.better(
                        Gap.FEED, Phrase.of("What feeds it was not said, so that its load is not counted.")))
                : Optional.empty();
    }
}
