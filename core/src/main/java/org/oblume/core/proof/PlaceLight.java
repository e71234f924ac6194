package org.oblume.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.light.MarkLight;
import org.oblume.core.units.Kelvin;

/** Light that nobody recorded: house lights, a door left open, daylight. Alike from all sides (model), and on whichever light is read. */
final class PlaceLight implements FaultFamily {

    private static final double[] KELVINS = {2900, 4000, 5600, 6500};
    private static final double[] PARTS = {1.0 / 32, 1.0 / 16, 1.0 / 8, 1.0 / 4, 1.0 / 2, 1};

    @Override
    public List<Fault> of(Recorded shot) {
        double lit = shot.light().marks().stream()
                .map(MarkLight::lit)
                .mapToDouble(l -> l.lux())
                .max()
                .orElse(0);
        List<Fault> here = new ArrayList<>();
        for (double kelvin : KELVINS) {
            for (double part : PARTS) {
                double[] cones = ConeLight.white(Kelvin.MIRED_PRODUCT / kelvin, 0);
                double lux = part * lit;
                here.add(new Fault(
                        Fault.Kind.NOT_RECORDED,
                        Fault.OF_THE_PLACE,
                        String.format(
                                Locale.ROOT,
                                "a light is on that nobody recorded, about %.0f lux of %.0f K: house lights, a door, daylight",
                                lux,
                                kelvin),
                        1,
                        new Fault.Added(ConeLight.times(cones, new double[] {lux, lux, lux}))));
            }
        }
        return DimmingFaults.shared(here);
    }
}
