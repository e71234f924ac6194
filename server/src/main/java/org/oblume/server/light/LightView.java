package org.oblume.server.light;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Role;
import org.oblume.core.units.Phrase;

/**
 * The light of a shot at its marks: predicted, by a model. Stops are from the camera's exposure, + is brighter; a light that gives
 * nothing has none.
 *
 * @param camera null until its stop, ISO and shutter are recorded
 * @param sources the lights that are on, in the scene's build order
 * @param hints what is worth a look, what is to be acted on first
 */
public record LightView(@Nullable Metered camera, List<SourceView> sources, List<AtMark> marks, List<HintView> hints) {

    /**
     * @param needsLux light that the camera's stop needs
     * @param stop {@code T2.8}
     */
    public record Metered(double needsLux, String stop, double whiteKelvin, double whiteDuv) {}

    /**
     * A light that is on.
     *
     * @param swatch how the camera sees it
     * @param headroomStops to full; null for daylight and for one of no known figures
     * @param unknown why its light cannot be predicted, or null
     * @param out whether it is taken as off
     * @param path from what is dialled through each modifier; empty when its colour is not known
     */
    public record SourceView(
            String key,
            String name,
            Role role,
            @Nullable String group,
            @Nullable String swatch,
            @Nullable Double headroomStops,
            @Nullable String unknown,
            boolean out,
            List<ModifierEffect> path) {}

    /**
     * @param kelvin behind it
     * @param duv behind it
     * @param miredShift by it, 0 for what is dialled; a filament that is dimmed has a step of its own
     */
    public record ModifierEffect(String name, double kelvin, double duv, double miredShift) {}

    /**
     * The light at a mark.
     *
     * @param litLight on the lit cheek, printed
     * @param stop what a meter at the lit cheek would say at the camera's ISO and shutter; null in the dark
     * @param from what each source does here, in the sources' order; those that cannot be predicted are left out
     */
    public record AtMark(
            String key,
            String name,
            double xM,
            double yM,
            double faceM,
            double facingDeg,
            boolean leftIsLit,
            Phrase litLight,
            CheekView lit,
            CheekView shadow,
            @Nullable CheekView background,
            @Nullable String stop,
            @Nullable TwoToOne litToShadow,
            @Nullable TwoToOne keyToFill,
            List<SourceAtMarkView> from) {}

    /**
     * What falls on one surface.
     *
     * @param kelvin null in the dark
     */
    public record CheekView(
            double lux,
            @Nullable Double overStops,
            @Nullable Double kelvin,
            @Nullable Double duv,
            @Nullable String swatch) {}

    public record TwoToOne(double ratio, double stops) {}

    /**
     * What one source does at a mark.
     *
     * @param facing on a meter turned to it
     * @param facingLight the same, printed
     * @param fromDeg bearing that it comes from
     * @param upDeg and how high, degrees above level
     * @param sizeDeg as the mark sees it
     * @param penumbra that the face throws on the wall behind it
     * @param straight whether it comes straight, and not off a board, by a mirror or through a frame
     * @param allAround whether most of it comes off the room
     */
    public record SourceAtMarkView(
            String key,
            OnSide lit,
            OnSide shadow,
            @Nullable OnSide background,
            OnSide facing,
            Phrase facingLight,
            double fromDeg,
            double upDeg,
            @Nullable Double distanceM,
            @Nullable Phrase distance,
            double sizeDeg,
            @Nullable Phrase penumbra,
            @Nullable ThroughOpening through,
            boolean straight,
            boolean allAround) {}

    public record OnSide(double lux, @Nullable Double overStops) {}

    /**
     * @param fanDeg of the shadows
     * @param edgePenumbra of a bar in the opening, at the mark
     * @param parallel whether it reads so (model)
     */
    public record ThroughOpening(String opening, Phrase away, double fanDeg, Phrase edgePenumbra, boolean parallel) {}

    /**
     * A hint.
     *
     * @param name of what it is about
     * @param label of its kind
     */
    public record HintView(
            HintKind kind,
            String label,
            String placement,
            String name,
            boolean urgent,
            Phrase title,
            Phrase reason,
            @Nullable Double xM,
            @Nullable Double yM,
            boolean onPurpose) {}
}
