package org.oblume.core.still;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.continuity.Aspect;
import org.oblume.core.continuity.Tolerances;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.plot.White;
import org.oblume.core.units.Kelvin;

/**
 * The light on a neutral patch of a still, from its camera's white (model: the camera's colours are those of ITU-R BT.709, and each
 * component is read through the curve; a look that was put on the picture is taken for light).
 *
 * @param mired above the camera's white; + is warmer
 * @param duv above the camera's white, CIE 1960 u,v; + is greener
 */
public record PatchWhite(double mired, double duv) {

    /** Name of the point that is known to be neutral. */
    public static final String NAME = "grey";

    private static final double PERCENT = 100;
    private static final double SMALLEST_MIRED = 0.5;
    private static final double SMALLEST_DUV = 0.0005;

    /** Empty where the patch is black or clipped, or is a colour rather than a white. */
    public static Optional<PatchWhite> of(Signal signal, double x, double y, SignalCurve curve, White camera) {
        double[] coded = signal.colour(x, y);
        double[] light = new double[coded.length];
        for (int i = 0; i < coded.length; i++) {
            light[i] = curve.light(coded[i]);
            if (!(light[i] > 0) || curve.clips(light[i]) || coded[i] > PERCENT * Signal.CLIPPED) {
                return Optional.empty();
            }
        }
        ColourReading read = camera.camera().reading(light);
        return read.isWhite()
                ? Optional.of(new PatchWhite(
                        new Kelvin(read.kelvin()).mired() - new Kelvin(camera.kelvin()).mired(),
                        read.duv() - camera.duv()))
                : Optional.empty();
    }

    /** How far this is from another. */
    public PatchWhite from(PatchWhite other) {
        return new PatchWhite(mired - other.mired, duv - other.duv);
    }

    /** Whether a difference is too small to be seen. */
    public boolean holds(Tolerances tolerances) {
        return tolerances.holds(Aspect.WHITE, mired) && tolerances.holds(Aspect.TINT, duv);
    }

    /** A difference in words. */
    public String say() {
        List<String> said = new ArrayList<>();
        if (Math.abs(mired) >= SMALLEST_MIRED) {
            said.add("%d mired %s".formatted(Math.round(Math.abs(mired)), mired > 0 ? "warmer" : "cooler"));
        }
        if (Math.abs(duv) >= SMALLEST_DUV) {
            said.add(String.format(Locale.ROOT, "%.3f Duv more %s", Math.abs(duv), duv > 0 ? "green" : "magenta"));
        }
        return said.isEmpty() ? "Grey is as white." : "Grey is %s.".formatted(String.join(", ", said));
    }
}
