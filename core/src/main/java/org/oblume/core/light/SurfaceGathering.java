package org.oblume.core.light;

import java.util.List;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.geometry.Direction;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.transport.Receiver;
import org.oblume.core.transport.Standing;

/** One small surface in a set, and what each source brings to it by every way. */
final class SurfaceGathering {

    /** Part of a light below which it does not matter where on a patch it falls. */
    static final double WORTH_A_LOOK = 0.008;

    private final Receiver there;

    SurfaceGathering(Standing standing, SpacePoint at, Direction normal) {
        this.there = standing.receiver(
                at.xM(), at.yM(), at.zM(), new double[][] {{normal.x(), normal.y(), normal.z()}}, false);
    }

    /**
     * What a source brings at full, by channel.
     *
     * @param meets lux of all its emitters on the patches
     */
    double[] brought(SourceEmitters source, double[][] meets) {
        double[][] one = new double[1][ConeLight.CHANNELS];
        source.emitters().forEach(emitter -> there.straight(emitter, one));
        add(one[0], there.sentOn(0, meets));
        add(one[0], there.closer(source.emitters(), meets, WORTH_A_LOOK * ConeLight.luminance(one[0]))[0]);
        return one[0];
    }

    /** All of the sources' light. */
    SurfaceLight light(List<SourceEmitters> sources, StandingGrip inside) {
        return SurfaceLight.of(sources.parallelStream()
                .map(source -> ConeLight.times(brought(source, inside.meets(source)), source.gains()))
                .toList());
    }

    static void add(double[] sum, double[] more) {
        for (int c = 0; c < sum.length; c++) {
            sum[c] += more[c];
        }
    }
}
