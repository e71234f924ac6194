package org.oblume.core.light;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.colour.LightMix;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.photometry.Shadow;
import org.oblume.core.units.Bearing;

/**
 * The light at one mark (model): a face is two small level surfaces, its cheeks, turned 45° to either side of the way it looks.
 *
 * @param key of the mark
 * @param face where it is
 * @param facing the way it looks
 * @param left the subject's own left cheek
 * @param right cheek
 * @param background on the wall that the camera sees behind the mark, or null when there is none
 * @param sources what each source does here, in the order of {@link ShotLighting#lights()}
 */
public record MarkLight(
        String key,
        SpacePoint face,
        Bearing facing,
        SurfaceLight left,
        SurfaceLight right,
        @Nullable SurfaceLight background,
        List<SourceAtMark> sources) {

    /**
     * One source as the mark sees it, by the way that brings most of its light.
     *
     * @param source key of it
     * @param toLight on a meter that is turned to where it stands, by every way, the room's part too, by channel
     * @param toLens on one that is turned to the camera's lens; null without a camera
     * @param roomLux of it that comes off walls, ceiling and floor to the brighter cheek, lux
     * @param wayLux of it that comes by the strongest way that is not off the room, on a meter turned to that, lux
     * @param from where it comes from
     * @param elevationDeg and how high, degrees above level
     * @param distanceM along the way that the light takes, metres, above 0; null when all of it is reflected by the room
     * @param angularSizeDeg as the mark sees it, degrees: the measure of its softness
     * @param penumbraM width of the soft edge that the face throws on the wall behind it, metres; null without a wall behind
     * @param through the opening that it comes through, or null
     * @param straight whether it comes straight from the source, and not off a board, by a mirror or through a frame
     */
    public record SourceAtMark(
            String source,
            double[] toLight,
            double @Nullable [] toLens,
            double roomLux,
            double wayLux,
            Bearing from,
            double elevationDeg,
            @Nullable Double distanceM,
            double angularSizeDeg,
            @Nullable Double penumbraM,
            @Nullable Through through,
            boolean straight) {

        private static final double[] ONE = {1, 1, 1};

        /**
         * The same source at another level, or of another white.
         *
         * @param gains of each channel, 0 or more; a dark one comes from nowhere
         */
        SourceAtMark scaled(double[] gains) {
            double part = ConeLight.luminance(gains) / ConeLight.luminance(ONE);
            return part == 0
                    ? none(source)
                    : new SourceAtMark(
                            source,
                            ConeLight.times(toLight, gains),
                            toLens == null ? null : ConeLight.times(toLens, gains),
                            part * roomLux,
                            part * wayLux,
                            from,
                            elevationDeg,
                            distanceM,
                            angularSizeDeg,
                            penumbraM,
                            through,
                            straight);
        }

        /** One that brings nothing. */
        static SourceAtMark none(String source) {
            return new SourceAtMark(
                    source,
                    new double[ConeLight.CHANNELS],
                    null,
                    0,
                    0,
                    Bearing.ofDegrees(0),
                    0,
                    null,
                    0,
                    null,
                    null,
                    false);
        }

        /** On a meter that is turned to where it stands, by every way, the room's part too, lux. */
        public double facingLux() {
            return Math.max(0, ConeLight.luminance(toLight));
        }

        /** What a meter reads of it alone; empty in the dark, and without a camera to turn it to. */
        public Optional<LightMix> metered(Turned turned) {
            return Optional.ofNullable(turned == Turned.TO_LENS ? toLens : toLight)
                    .filter(cones -> ConeLight.luminance(cones) > 0)
                    .map(ConeLight::mix);
        }

        /** Whether it has no one direction: most of what comes of it comes off the room. */
        public boolean allAround() {
            return distanceM == null || roomLux > wayLux;
        }

        /** Whether any of it comes from somewhere, and not off the room alone. */
        public boolean hasDirection() {
            return distanceM != null;
        }

        /**
         * How long the way of its light is, metres.
         *
         * @throws NullPointerException when it has no direction
         */
        public double throwM() {
            return Objects.requireNonNull(distanceM);
        }

        /** From the mark to where it comes from. */
        public Direction direction() {
            return Direction.of(from, elevationDeg);
        }
    }

    /**
     * An opening that light comes through.
     *
     * @param opening its name
     * @param awayM from the source, along the way that the light takes, metres
     * @param fanDeg of the shadows of its two sides, degrees
     * @param edgePenumbraM width that the edge of a bar in the opening has at the mark, metres
     */
    public record Through(String opening, double awayM, double fanDeg, double edgePenumbraM) {

        /** Whether the shadows read as parallel (model). */
        public boolean parallel() {
            return fanDeg < Shadow.PARALLEL_BELOW_DEG;
        }
    }

    /**
     * What one light does here.
     *
     * @param source key of a light that is on
     */
    public SourceAtMark of(String source) {
        return sources.get(indexOf(source));
    }

    /** What a light that is on brings to both cheeks together, lux. */
    public double cheeksLux(String source) {
        int index = indexOf(source);
        return left.luxOfEach().get(index) + right.luxOfEach().get(index);
    }

    private int indexOf(String source) {
        for (int i = 0; i < sources.size(); i++) {
            if (sources.get(i).source().equals(source)) {
                return i;
            }
        }
        throw new IllegalArgumentException("%s is not on.".formatted(source));
    }

    /** The brighter cheek. */
    public SurfaceLight lit() {
        return leftIsLit() ? left : right;
    }

    public SurfaceLight shadow() {
        return leftIsLit() ? right : left;
    }

    public boolean leftIsLit() {
        return left.lux() >= right.lux();
    }
}
