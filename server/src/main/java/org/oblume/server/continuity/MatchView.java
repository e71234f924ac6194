package org.oblume.server.continuity;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Match;
import org.oblume.core.continuity.RatioConvention;
import org.oblume.core.continuity.RebuildVerdict;
import org.oblume.core.continuity.Waiver;
import org.oblume.core.units.Phrase;
import org.oblume.server.metering.MeterView;
import org.oblume.server.proof.DiagnosisView;
import org.oblume.server.rebuild.RunHead;
import org.oblume.server.scene.SceneHeading;

/**
 * The report of a scene.
 *
 * @param version of the settings, for If-Match
 * @param curve name of what the monitor is read through
 * @param reference the shot that all are judged against
 * @param shots in the scene's order, the reference among them
 * @param runs rebuilds, the oldest first, each judged against what was recorded of its shot
 * @param summary in a sentence
 */
public record MatchView(
        long sceneId,
        SceneHeading scene,
        long version,
        RatioConvention school,
        String schoolLabel,
        String curve,
        long referenceId,
        String reference,
        String summary,
        List<ShotVerdict> shots,
        List<ShotVerdict> runs) {

    /**
     * A shot, or a rebuild of one, with its verdict.
     *
     * @param run null for the shot itself
     * @param mark name of the mark that it is judged at
     * @param closeness HOLD or SWEETEN
     * @param own tolerances that were set for this shot alone
     * @param version of its tolerances, for If-Match
     * @param metered whether any of its figures was read
     * @param swatches lit cheek, shadow cheek, background: a grey card there as the camera shows it, by prediction; null in the dark
     * @param keyFromDeg bearing of the key; null when it has none
     * @param facingDeg the way the subject looks
     * @param cameraFromDeg bearing of the camera from the mark
     * @param standing of a rebuild; null for a shot, and for a rebuild that was signed when no readings were asked for
     * @param title the verdict in a few words
     * @param added names of what stands here and not in the shot that it is to match: lights, boards, flags, frames, nets; none on a page that
     *     was signed by older rules
     */
    public record ShotVerdict(
            long shotId,
            @Nullable RunHead run,
            Slate slate,
            String description,
            ShotStage stage,
            @Nullable String mark,
            TolerancePreset closeness,
            Map<Aspect, Double> own,
            long version,
            boolean metered,
            List<@Nullable String> swatches,
            @Nullable Double keyFromDeg,
            @Nullable Double facingDeg,
            @Nullable Double cameraFromDeg,
            boolean holds,
            RebuildVerdict.@Nullable Standing standing,
            String title,
            List<String> added,
            List<VerdictLine> lines) {

        public ShotVerdict {
            added = added == null ? List.of() : List.copyOf(added);
        }

        /** The same of a rebuild as it is by now, under another title. */
        ShotVerdict titled(RunHead now, String other) {
            return new ShotVerdict(
                    shotId,
                    now,
                    slate,
                    description,
                    stage,
                    mark,
                    closeness,
                    own,
                    version,
                    metered,
                    swatches,
                    keyFromDeg,
                    facingDeg,
                    cameraFromDeg,
                    holds,
                    standing,
                    other,
                    added,
                    lines);
        }
    }

    /**
     * @param said with its unit behind a space
     * @param metered whether it was read, not predicted
     */
    public record FigureView(double value, String said, boolean metered) {}

    /**
     * @param differenceSaid with its sign, null when a figure is not known
     * @param toleranceSaid to either side
     * @param say what is off, or null
     * @param remedy what to do about it, or null
     */
    public record VerdictLine(
            Aspect aspect,
            String label,
            @Nullable FigureView recorded,
            @Nullable FigureView now,
            @Nullable Double difference,
            @Nullable String differenceSaid,
            double tolerance,
            String toleranceSaid,
            Match.Verdict verdict,
            @Nullable Waiver waiver,
            @Nullable String say,
            @Nullable Phrase remedy) {}

    /**
     * The verdict on a rebuild.
     *
     * @param match of the rebuild against the recorded shot
     * @param heads each light that is on: what it read against the record
     * @param otherwise what was not as recorded
     * @param steps in all
     * @param done of them ticked
     * @param toTake what is still to be read, in words
     * @param undone names of the steps that nobody ticked; null when it was signed before they were kept
     * @param readings that it rests on, the oldest first; null as well
     * @param revision of the recorded shot; null as well
     * @param diagnosis what the readings said when it was signed; null as long as it is open, and as well
     */
    public record VerdictView(
            long sceneId,
            SceneHeading scene,
            ShotVerdict match,
            RunHead run,
            List<HeadLine> heads,
            List<DeviationLine> otherwise,
            int steps,
            int done,
            List<String> toTake,
            @Nullable List<String> undone,
            @Nullable List<MeterView.ReadingView> readings,
            @Nullable Integer revision,
            @Nullable DiagnosisView diagnosis) {

        private static final String OF_OLDER_RULES = "Signed by older rules, which asked for no readings: ";

        /** This page as it was signed; one of the older rules, by which nothing had to be read, says so. */
        VerdictView signed(RunHead now) {
            return under(now, match.standing == null ? OF_OLDER_RULES + match.title : match.title, diagnosis);
        }

        /** This page under the line that is signed, with what the readings say. */
        VerdictView signing(String line, DiagnosisView says) {
            return under(run, line, says);
        }

        private VerdictView under(RunHead head, String title, @Nullable DiagnosisView says) {
            return new VerdictView(
                    sceneId,
                    scene,
                    match.titled(head, title),
                    head,
                    heads,
                    otherwise,
                    steps,
                    done,
                    toTake,
                    undone,
                    readings,
                    revision,
                    says);
        }
    }

    /**
     * @param kStops read less predicted, null while it was not read
     * @param likely what explains it
     */
    public record HeadLine(
            String key,
            String name,
            @Nullable Double kStops,
            @Nullable Double mired,
            @Nullable Double duv,
            Match.Verdict verdict,
            List<String> likely) {}

    public record DeviationLine(String name, List<Phrase> now, String why) {}
}
