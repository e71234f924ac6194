package org.oblume.server.recall;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Standing;

/** What crosses the wire about a recall. */
final class RecallView {

    private RecallView() {
    }

    /**
     * What a recall would change.
     *
     * @param mark of the state that was looked at; sent along with the recall, which is refused when the record has moved on
     * @param sent units that are told over the network, those that change first
     * @param atTheHead what a person has to set
     * @param cautions to be said before effects run
     * @param conflicts what will not work, a sentence each
     * @param asked whether the rig could be asked what it stands at now
     */
    record RecallPreview(String slate, int mark, List<ToldUnit> sent, List<ByHand> atTheHead, List<String> cautions, List<String> conflicts, boolean asked) {
    }

    /** @param now what it stands at, in words; null when it is not known. @param then what it will */
    record ToldUnit(String key, String name, @Nullable String now, String then, boolean changes) {
    }

    /** Something to set by hand. @param where at the head, or in which group of the app */
    record ByHand(String key, String name, String where, List<String> what) {
    }

    /**
     * The rig beside the record.
     *
     * @param asked how many units the network reaches
     * @param agree how many of them are as recorded
     */
    record RigBeside(String slate, int asked, int agree, List<Drifted> drift, List<String> sources) {
    }

    /** @param rigs as the rig has it, to be taken as a knot. @param standing likewise, when it is on or off. @param bySending whether sending the record again mends it */
    record Drifted(String key, String name, @Nullable Attribute attribute, String sentence, @Nullable AttributeValue rigs, @Nullable Standing standing, boolean bySending) {
    }
}
