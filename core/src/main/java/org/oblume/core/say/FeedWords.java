package org.oblume.core.say;

import java.util.Locale;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Feed;
import org.oblume.core.units.Refusal;

/** What feeds a light: {@code circuit B1}, <em>fed from B2</em>, <em>on a battery</em>. Its cable stays as it was said. */
final class FeedWords implements PhraseParser {

    @Override
    public boolean read(Clause clause) {
        if (!clause.about().kind().records(Attribute.FEED)) {
            return false;
        }
        Words words = clause.words();
        boolean fed = words.take("fed", "feed");
        words.pass("on", "by", "from", "to", "a", "the");
        if (words.take("battery", "batteries")) {
            clause.draft().put(clause.about(), new Feed(Feed.From.BATTERY, null, null, null, null));
            return true;
        }
        if (!words.take("circuit") && !fed) {
            return false;
        }
        if (words.endsClause()) {
            throw new Refusal("Say which circuit: circuit B1.");
        }
        String circuit = words.peek().toUpperCase(Locale.ROOT);
        words.skip(1);
        Feed now = clause.draft()
                .value(clause.about().key(), Feed.class)
                .filter(f -> f.from() != Feed.From.BATTERY)
                .orElse(Feed.circuit(circuit));
        clause.draft().put(clause.about(), new Feed(Feed.From.CIRCUIT, circuit, null, now.cableM(), now.areaMm2()));
        return true;
    }
}
