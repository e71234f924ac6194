package org.oblume.server.rebuild;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Phrase;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.PlacedView;

/**
 * The rebuild sheet of a shot.
 *
 * @param run the rebuild that it belongs to; null while none has begun
 * @param runs of the shot, the newest first
 * @param stands names of what stands already and stays as it is
 * @param out names of what stands and does not belong to the shot
 * @param misfits what does not fit the place
 * @param revised what was changed in the record since the rebuild began, in words
 * @param seen the newest change of the record
 */
public record RebuildView(
        long shotId,
        Slate slate,
        String description,
        @Nullable Slate basedOn,
        long sceneId,
        SceneHeading scene,
        String setName,
        SetPlan set,
        @Nullable RunHead run,
        List<RunHead> runs,
        List<Step> steps,
        List<String> stands,
        List<String> out,
        List<MisfitView> misfits,
        List<RevisedSince> revised,
        long seen) {

    /**
     * @param placed what to put back and how, as it is to be in this rebuild
     * @param third a third landmark for a check of the tapes, with the length that it should have; null when there is none
     * @param cautions sentences
     * @param done who ticked it, or null
     * @param instead what is not as recorded, or null
     * @param hung what was named or scanned there and found to be as recorded, or null
     * @param version for If-Match; 0 while nothing is kept of it
     */
    public record Step(
            PlacedView placed,
            PlacedView.@Nullable TapeView third,
            List<String> cautions,
            @Nullable Done done,
            @Nullable DeviationView instead,
            @Nullable String hung,
            long version) {}

    /** @param changedSince whether something this step rests on was changed after it was ticked */
    public record Done(String author, Instant at, boolean changedSince) {}

    /**
     * @param piece what stands in for it, or null
     * @param values what is true now, in words, beside what is recorded
     */
    public record DeviationView(
            @Nullable String piece, List<OtherValue> values, String why, String author, Instant at) {}

    public record OtherValue(
            Attribute attribute, String label, AttributeValue value, Phrase now, @Nullable Phrase recorded) {}

    public record MisfitView(String placement, Phrase words) {}

    /**
     * @param name of the thing
     * @param label of what changed
     */
    public record RevisedSince(String name, String label, Phrase words) {}
}
