package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;

/**
 * Everything that is looked for in a shot, with what lights would then bring; worked out once for a rebuild. Linear in lights × what is
 * looked for at one × the light of a shot.
 */
public final class Suspects {

    /** Far enough to tell which way the light changes, near enough to be even, metres. */
    private static final double NUDGE_M = 0.05;

    private static final int AXES = 3;

    private final Recorded shot;
    private final List<Fault> faults;
    private final double[][][][] nudged;

    private Suspects(Recorded shot, List<Fault> faults, double[][][][] nudged) {
        this.shot = shot;
        this.faults = faults;
        this.nudged = nudged;
    }

    /** Works all of them out. */
    public static Suspects of(Recorded shot) {
        List<Fault> faults = new ArrayList<>();
        for (FaultFamily family : FaultFamily.ALL) {
            faults.addAll(family.of(shot));
        }
        double[][][][] nudged = new double[shot.lights().size()][AXES][][];
        for (int i = 0; i < nudged.length; i++) {
            nudged[i] = nudged(shot, i);
        }
        return new Suspects(shot, List.copyOf(faults), nudged);
    }

    /** What a light brings more for a metre along each axis. */
    private static double[][][] nudged(Recorded shot, int index) {
        Placement light = shot.lights().get(index);
        double[][] before = shot.brought()[index];
        double[][][] slopes = new double[AXES][before.length][ConeLight.CHANNELS];
        Place place = shot.value(light, Place.class).orElse(null);
        if (place != null) {
            double up = shot.value(light, Height.class).map(Height::heightM).orElse(NUDGE_M);
            List<Place> beside = List.of(
                    new Place(place.xM() + NUDGE_M, place.yM(), place.outside()),
                    new Place(place.xM(), place.yM() + NUDGE_M, place.outside()));
            for (int axis = 0; axis < AXES; axis++) {
                int way = axis;
                shot.of(index, axis < 2 ? beside.get(axis) : new Height(up + NUDGE_M))
                        .ifPresent(after -> slopes[way] = slope(before, after));
            }
        }
        return slopes;
    }

    private static double[][] slope(double[][] before, double[][] after) {
        double[][] slope = new double[before.length][ConeLight.CHANNELS];
        for (int p = 0; p < before.length; p++) {
            for (int c = 0; c < ConeLight.CHANNELS; c++) {
                slope[p][c] = (after[p][c] - before[p][c]) / NUDGE_M;
            }
        }
        return slope;
    }

    public Recorded shot() {
        return shot;
    }

    public List<Fault> faults() {
        return faults;
    }

    /** What a meter would read there if these were so. */
    public ProofReading wouldRead(List<Fault> faults, ProofReading.Wanted wanted) {
        Evidence evidence = new Evidence(
                this, Spread.USUAL, List.of(new ProofReading(wanted.probe(), wanted.alone(), null, null, null)));
        double[] cones = evidence.cones(0, evidence.again(faults, 0), evidence.again(faults, 1));
        if (!(ConeLight.luminance(cones) > 0)) {
            return new ProofReading(wanted.probe(), wanted.alone(), 0.0, null, null);
        }
        ColourReading white = ConeLight.mix(cones).reading();
        return new ProofReading(
                wanted.probe(), wanted.alone(), ConeLight.luminance(cones), white.kelvin(), white.duv());
    }

    /** By light, axis and probe: channels a metre. */
    double[][][][] nudged() {
        return nudged;
    }
}
