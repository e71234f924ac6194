package org.oblume.server.recall;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.SetStatus;

/** What crosses the wire about a recall. */
final class RecallView {

    private RecallView() {}

    /**
     * What a recall would change.
     *
     * @param stateDigest of the state that was looked at; sent along with the recall, which is refused when the record has moved on
     * @param overNetwork units that are told over the network, those that change first
     * @param atFixture what a person has to set
     * @param cautions to be said before effects run
     * @param conflicts what will not work, a sentence each
     * @param cues what changes within the shot, in order
     * @param asked whether the rig could be asked what it stands at now
     */
    record RecallPreview(
            Slate slate,
            String stateDigest,
            List<NetworkUnit> overNetwork,
            List<FixtureUnit> atFixture,
            List<String> cautions,
            List<String> conflicts,
            List<CueView> cues,
            boolean asked) {}

    /**
     * A moment within the shot.
     *
     * @param number how many have run with it
     * @param moment when it is, in the crew's words
     * @param steps what changes, a sentence each
     * @param byHand what a person at the head does then, a sentence each
     * @param lastsS seconds until all of it is done
     * @param caution to be said before it runs, or null
     */
    record CueView(
            int number,
            String key,
            String name,
            String moment,
            List<String> steps,
            List<String> byHand,
            double lastsS,
            @Nullable String caution) {}

    /**
     * @param now what it stands at, in words; null when it is not known
     * @param then what it will
     */
    record NetworkUnit(String key, String name, @Nullable String now, String then, boolean changes) {}

    /**
     * Something to set by hand.
     *
     * @param where at the head, or in which group of the app
     */
    record FixtureUnit(String key, String name, String where, List<String> what) {}

    /**
     * The rig beside the record.
     *
     * @param asked how many units the network reaches
     * @param agree how many of them are as recorded
     */
    record ReadBackView(Slate slate, int asked, int agree, List<DriftView> drift, List<String> sources) {}

    /**
     * @param rigs as the rig has it, to be taken as a knot
     * @param status likewise, when it is on or off
     * @param bySending whether sending the record again mends it
     */
    record DriftView(
            String key,
            String name,
            @Nullable Attribute attribute,
            String sentence,
            @Nullable AttributeValue rigs,
            @Nullable SetStatus status,
            boolean bySending) {}
}
