package org.oblume.server.shot;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.Slate;
import org.oblume.core.complete.Finding;
import org.oblume.core.complete.Gap;
import org.oblume.core.geometry.Crossing;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.Side;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Placement;
import org.oblume.core.units.Length;
import org.oblume.core.units.Phrase;

/**
 * A placement in one shot: what is recorded of it, and what follows from that.
 *
 * @param version of its card, for If-Match
 * @param onSet whether it stands on set at all
 * @param records the attributes that are recorded of this kind of thing, in order
 * @param revisions of this shot's own values, for If-Match; one that was never tied here is left out and counts as 0
 * @param measured how its place was measured, while what it was measured from is drawn where it was then; null where that is not said
 * @param buildRank its turn in the scene's build order, lowest first; those of one rank go in the scene's order
 * @param toBuild whether it stands in the shot and somebody has to put it there: what is counted of a record
 * @param findings what its record does not hold, while it stands in the shot
 * @param cautions what is to be minded while it stands, a sentence each
 */
public record PlacedView(
        Placement placement,
        long version,
        boolean onSet,
        List<Attribute> records,
        Map<Attribute, ValueView> values,
        Map<Attribute, Long> revisions,
        @Nullable LightSummary light,
        @Nullable AimView aim,
        @Nullable Tapes tapes,
        @Nullable Phrase measured,
        @Nullable Double viewDeg,
        int buildRank,
        boolean toBuild,
        List<FindingView> findings,
        List<String> cautions) {

    /**
     * A recorded value.
     *
     * @param say the value in words
     * @param typed what stands in a field when one starts to type over it; it is read back
     * @param brief in as few letters as a name on a plan has beside it
     * @param from slate of the shot it was tied in
     * @param tiedHere whether that is this shot
     * @param looked who looked at it on set in this very shot; null when nobody did since it changed
     */
    public record ValueView(
            AttributeValue value,
            Phrase say,
            Phrase typed,
            Phrase brief,
            Slate from,
            boolean tiedHere,
            @Nullable Reason reason,
            @Nullable String note,
            String author,
            Instant at,
            @Nullable Looked looked) {}

    /** Somebody looked. */
    public record Looked(String author, Instant at) {}

    /**
     * Something that the record does not hold.
     *
     * @param act what mends it, in a word
     * @param attribute the value that is then recorded, or null for the thing itself
     * @param guess whether a stranger would have to guess; else it would be better with it
     */
    public record FindingView(Gap gap, String act, @Nullable Attribute attribute, boolean guess, Phrase sentence) {

        static FindingView of(Finding finding) {
            return new FindingView(
                    finding.gap(), finding.gap().act(), finding.gap().attribute(), finding.guess(), finding.sentence());
        }
    }

    /**
     * A light behind its modifiers.
     *
     * @param swatch how the camera sees it, {@code #rrggbb}; null when its colour cannot be told
     * @param kelvin colour temperature behind the modifiers
     * @param stack what each modifier does, in order
     * @param soft whether it leaves a softening surface
     * @param problem why there is no colour, or null
     * @param modes names of its kind's control modes
     * @param fullColour whether one of them is told a hue
     */
    public record LightSummary(
            @Nullable String swatch,
            @Nullable Double kelvin,
            @Nullable Double duv,
            String stackStopsText,
            String stackMiredText,
            List<ModifierCost> stack,
            boolean soft,
            @Nullable String problem,
            List<String> modes,
            boolean fullColour) {}

    /** What one modifier costs, in thirds of a stop, and its mired shift. */
    public record ModifierCost(String stopsText, String miredText) {}

    /**
     * @param distanceM to the point aimed at; 0 when it is aimed along a bearing
     * @param markName null likewise
     */
    public record AimView(
            double bearingDeg, String bearing, double tiltDeg, @Nullable Double distanceM, @Nullable String markName) {}

    /**
     * Two tapes for its place.
     *
     * @param checks further tapes that the crew pulled
     * @param own whether they are the crew's own, as they were pulled; else the best that the set's landmarks give
     */
    public record Tapes(
            TapeView a,
            TapeView b,
            Side side,
            double crossingDeg,
            Crossing crossing,
            List<TapeView> checks,
            boolean own) {}

    public record TapeView(String landmark, PlanPoint from, LengthView length) {

        /**
         * @param metric to the centimetre
         * @param imperial to the quarter inch
         */
        public record LengthView(double m, String metric, String imperial) {

            public static LengthView of(double m) {
                Length length = Length.ofMetres(m);
                return new LengthView(m, length.printMetric(), length.printImperial());
            }
        }

        public static TapeView of(String landmark, PlanPoint from, double distanceM) {
            return new TapeView(landmark, from, LengthView.of(distanceM));
        }
    }
}
