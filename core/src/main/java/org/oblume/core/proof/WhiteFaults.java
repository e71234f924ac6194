package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.light.SourceColour;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.Tint;
import org.oblume.core.units.Duv;
import org.oblume.core.units.Kelvin;

/** A white or a tint that is dialled otherwise, on heads that can be dialled. */
final class WhiteFaults implements FaultFamily {

    private static final double STEP_MIRED = 6;
    private static final double LEAST_MIRED = 8;
    private static final double STEP_DUV = 0.001;
    private static final double LEAST_DUV = 0.003;
    private static final double MOST_DUV = 0.015;
    private static final long HUNDRED = 100;

    @Override
    public List<Fault> of(Recorded shot) {
        List<Fault> all = new ArrayList<>();
        for (int i = 0; i < shot.lights().size(); i++) {
            Placement light = shot.lights().get(i);
            SourceColour white = SourceColour.of(light, shot.state())
                    .filter(w -> w.hue().plain())
                    .orElse(null);
            if (white != null) {
                all.addAll(whites(shot, i, light, white));
                all.addAll(tints(shot, i, light, white));
            }
        }
        return all;
    }

    private static List<Fault> whites(Recorded shot, int index, Placement light, SourceColour white) {
        Piece piece = light.piece();
        Double lowest = piece.lowestKelvin();
        Double highest = piece.highestKelvin();
        List<Fault> here = new ArrayList<>();
        if (lowest == null || highest == null || lowest >= highest) {
            return here;
        }
        double recorded = shot.value(light, ColourTemperature.class)
                .map(ColourTemperature::kelvin)
                .orElse(Kelvin.MIRED_PRODUCT / white.mired());
        List<Modifier> stack = shot.modifiers(light).items();
        for (double mired = Kelvin.MIRED_PRODUCT / highest;
                mired <= Kelvin.MIRED_PRODUCT / lowest;
                mired += STEP_MIRED) {
            double off = mired - Kelvin.MIRED_PRODUCT / recorded;
            if (Math.abs(off) >= LEAST_MIRED) {
                here.add(new Fault(
                        Fault.Kind.WHITE,
                        light.key(),
                        "%s is dialled to about %d K, recorded %s"
                                .formatted(
                                        light.name(),
                                        Math.round(Kelvin.MIRED_PRODUCT / mired / HUNDRED) * HUNDRED,
                                        new ColourTemperature(recorded).say()),
                        1,
                        through(index, stack, white, new SourceColour(white.mired() + off, white.duv(), white.hue()))));
            }
        }
        return DimmingFaults.shared(here);
    }

    private static List<Fault> tints(Recorded shot, int index, Placement light, SourceColour white) {
        Lamp lamp = light.piece().lamp();
        List<Fault> here = new ArrayList<>();
        if (lamp == null || lamp.tintReach() == 0) {
            return here;
        }
        double recorded = shot.value(light, Tint.class).map(Tint::duv).orElse(0.0);
        double reach = Math.min(MOST_DUV, 2 * lamp.tintReach());
        List<Modifier> stack = shot.modifiers(light).items();
        for (double off = -reach; off <= reach; off += STEP_DUV) {
            if (Math.abs(off) >= LEAST_DUV && Math.abs(recorded + off) <= lamp.tintReach()) {
                here.add(new Fault(
                        Fault.Kind.TINT,
                        light.key(),
                        "%s is dialled to a tint of about %s, recorded %s"
                                .formatted(light.name(), Duv.print(recorded + off), Duv.print(recorded)),
                        1,
                        through(index, stack, white, new SourceColour(white.mired(), white.duv() + off, white.hue()))));
            }
        }
        return DimmingFaults.shared(here);
    }

    private static Fault.Effect through(int index, List<Modifier> stack, SourceColour before, SourceColour now) {
        return gains(index, before.behind(stack), now.behind(stack));
    }

    /** By channel, what one light is of another. */
    static Fault.Effect gains(int index, double[] before, double[] now) {
        double[] gains = new double[before.length];
        for (int c = 0; c < gains.length; c++) {
            gains[c] = before[c] > 0 ? Math.max(0, now[c] / before[c]) : 1;
        }
        return new Fault.Gains(index, gains);
    }
}
