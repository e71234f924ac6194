package org.oblume.core.metering;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.oblume.core.colour.DialCorrection;
import org.oblume.core.colour.WhitePoint;
import org.oblume.core.units.Kelvin;
import org.oblume.core.units.Refusal;

/**
 * What one unit measures through one path (its cloth, its shade, or nothing) against what it is dialled to, from several readings. Between two of
 * them the shift of the path is interpolated in mired over what is dialled; beyond the ends it stays as it was read there (model).
 *
 * @param points by what was dialled, warmest last, one for each dialled colour temperature
 */
public record DialCurve(List<Point> points) {

    private static final double SAME_MIRED = 0.5;
    private static final int ROUNDS = 40;

    /** What was dialled, and what a colour meter then read. */
    public record Point(WhitePoint dialled, WhitePoint measured) {

        double shiftMired() {
            return measured.kelvin().mired() - dialled.kelvin().mired();
        }

        double shiftDuv() {
            return measured.duv().value() - dialled.duv().value();
        }
    }

    /** @throws Refusal when there is no point, or one dialled value was measured twice */
    public DialCurve {
        points = points.stream()
                .sorted(Comparator.comparingDouble(p -> p.dialled.kelvin().mired()))
                .toList();
        if (points.isEmpty()) {
            throw new Refusal("Nothing was measured of this unit on this path yet: read it alone with a colour meter.");
        }
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).dialled.kelvin().mired()
                            - points.get(i - 1).dialled.kelvin().mired()
                    < SAME_MIRED) {
                throw new Refusal("Two readings are of the same dialled colour: keep the newer one.");
            }
        }
    }

    /** From readings in the order they were made: of a dialled colour that was read again the newer one counts. */
    public static DialCurve ofNewest(List<Point> readings) {
        Map<Long, Point> byDial = new LinkedHashMap<>();
        readings.forEach(r -> byDial.put(Math.round(r.dialled.kelvin().mired()), r));
        return new DialCurve(List.copyOf(byDial.values()));
    }

    /**
     * What to dial so that it measures a target.
     *
     * @param lowest that the unit can be dialled to
     * @param highest not below the lowest
     */
    public DialCorrection toMeasure(WhitePoint target, Kelvin lowest, Kelvin highest) {
        double dial = target.kelvin().mired();
        for (int i = 0; i < ROUNDS; i++) {
            dial = (dial + target.kelvin().mired() - at(dial).shiftMired) / 2;
        }
        Shift shift = at(dial);
        WhitePoint dialled = WhitePoint.of(
                points.get(0).dialled.kelvin(), points.get(0).dialled.duv());
        Kelvin measured = Kelvin.of(Kelvin.MIRED_PRODUCT / (dialled.kelvin().mired() + shift.shiftMired));
        DialCorrection correction = DialCorrection.of(
                dialled,
                WhitePoint.of(measured, dialled.duv()),
                WhitePoint.of(target.kelvin(), target.duv()),
                lowest,
                highest);
        return new DialCorrection(
                correction.dialKelvin(),
                target.duv().value() - shift.shiftDuv,
                correction.reachable(),
                correction.residual(),
                correction.path());
    }

    /** What it measures when it is dialled to a colour temperature, by what was read, mired. */
    double measuredMired(Kelvin dialled) {
        return dialled.mired() + at(dialled.mired()).shiftMired;
    }

    /** And its tint. */
    double measuredDuv(WhitePoint dialled) {
        return dialled.duv().value() + at(dialled.kelvin().mired()).shiftDuv;
    }

    private record Shift(double shiftMired, double shiftDuv) {}

    private Shift at(double dialledMired) {
        Point first = points.get(0);
        for (int i = 1; i < points.size(); i++) {
            Point next = points.get(i);
            double from = first.dialled.kelvin().mired();
            double to = next.dialled.kelvin().mired();
            if (dialledMired <= to) {
                double part = Math.max(0, Math.min(1, (dialledMired - from) / (to - from)));
                return new Shift(
                        first.shiftMired() + part * (next.shiftMired() - first.shiftMired()),
                        first.shiftDuv() + part * (next.shiftDuv() - first.shiftDuv()));
            }
            first = next;
        }
        return new Shift(first.shiftMired(), first.shiftDuv());
    }
}
