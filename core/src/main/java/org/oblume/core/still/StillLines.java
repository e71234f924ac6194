package org.oblume.core.still;

import java.util.List;
import org.oblume.core.exposure.SignalCurve;
import org.oblume.core.picture.Isostops;

/** Lines of equal exposure over a still: of the light that made its signal, over a grey card at the camera's stop. */
public final class StillLines {

    /** Where the curve tells no light: under the least that is drawn. */
    private static final float UNDER = Isostops.LOWEST - 1F;

    private StillLines() {}

    /**
     * @param wide dots of the picture that the lines are drawn over
     * @param everyStops 1 or 2
     * @return as those of a predicted picture, the longest first
     */
    public static List<Isostops.Line> of(Signal signal, SignalCurve curve, int wide, int everyStops) {
        int across = Math.min(wide, signal.width());
        float[] stops = signal.reduced(across);
        for (int i = 0; i < stops.length; i++) {
            Double light = StillFigure.stops(stops[i], curve);
            stops[i] = light == null ? UNDER : (float) Math.max(UNDER, light);
        }
        return Isostops.of(new Isostops.Field(across, signal.downOf(across), new int[stops.length], stops), 1).stream()
                .filter(line -> line.stops() % everyStops == 0)
                .toList();
    }
}
