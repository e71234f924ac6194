package org.oblume.server.shot;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.Slate;
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
        @Nullable Double viewDeg) {

    /**
     * A recorded value.
     *
     * @param say the value in words
     * @param typed what stands in a field when one starts to type over it; it is read back
     * @param brief in as few letters as a name on a plan has beside it
     * @param from slate of the shot it was tied in
     * @param tiedHere whether that is this shot
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
            Instant at) {}

    /**
     * A light behind its modifiers.
     *
     * @param swatch how the camera sees it, {@code #rrggbb}; null when its colour cannot be told
     * @param kelvin colour temperature behind the modifiers
     * @param stack what each modifier does, in order
     * @param soft whether it leaves a softening surface
     * @param problem why there is no colour, or null
     * @param caution what to say before its effect runs, or null
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
            @Nullable String caution,
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

    public record Tapes(Tape a, Tape b, Side side, double crossingDeg, Crossing crossing) {}

    public record Tape(String landmark, PlanPoint from, LengthView length) {

        /**
         * @param metric to the centimetre
         * @param imperial to the quarter inch
         */
        public record LengthView(double m, String metric, String imperial) {}

        public static Tape of(String landmark, PlanPoint from, double distanceM) {
            Length length = Length.ofMetres(distanceM);
            return new Tape(landmark, from, new LengthView(distanceM, length.printMetric(), length.printImperial()));
        }
    }
}
