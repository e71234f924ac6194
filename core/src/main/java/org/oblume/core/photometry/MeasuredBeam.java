package org.oblume.core.photometry;

import java.util.List;
import java.util.OptionalDouble;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * A measured beam: intensity off the axis, the same all round. It goes linearly from angle to angle.
 *
 * @param anglesDeg off the axis, degrees, rising from 0, at most 180; 2 to 361 of them
 * @param candela at those angles, candela, 0 or more, the first above 0
 */
public record MeasuredBeam(List<Double> anglesDeg, List<Double> candela) implements Distribution {

    private static final int MOST = 361;
    private static final double BEHIND_DEG = 180;

    public MeasuredBeam {
        anglesDeg = List.copyOf(anglesDeg);
        candela = List.copyOf(candela);
        if (anglesDeg.size() < 2 || anglesDeg.size() > MOST || anglesDeg.size() != candela.size()) {
            throw new Refusal(
                    "candela", "A measured beam needs 2 to %d angles with an intensity each.".formatted(MOST));
        }
        for (int i = 0; i < anglesDeg.size(); i++) {
            double angle = anglesDeg.get(i);
            Checks.within("anglesDeg", "An angle off the axis", angle, 0, BEHIND_DEG, "°");
            Checks.notBelow0("candela", "An intensity", candela.get(i), " cd");
            if (i == 0 ? angle != 0 : angle <= anglesDeg.get(i - 1)) {
                throw new Refusal("anglesDeg", "The angles of a measured beam have to rise from 0.");
            }
        }
        Checks.above0("candela", "The intensity on the axis", candela.get(0), " cd");
    }

    @Override
    public double candela(double offAxisRad) {
        double deg = Math.toDegrees(offAxisRad);
        int last = anglesDeg.size() - 1;
        if (deg > anglesDeg.get(last)) {
            return 0;
        }
        int i = 1;
        while (i < last && anglesDeg.get(i) < deg) {
            i++;
        }
        double from = anglesDeg.get(i - 1);
        double part = (deg - from) / (anglesDeg.get(i) - from);
        return candela.get(i - 1) * (1 - part) + candela.get(i) * part;
    }

    /** Full angle at half the intensity of the axis, degrees. */
    public double beamDeg() {
        double half = candela.get(0) / 2;
        double deg = anglesDeg.get(anglesDeg.size() - 1);
        for (int i = 1; i < candela.size(); i++) {
            if (candela.get(i) < half) {
                double from = anglesDeg.get(i - 1);
                double step = (candela.get(i - 1) - half) / (candela.get(i - 1) - candela.get(i));
                deg = from + step * (anglesDeg.get(i) - from);
                break;
            }
        }
        return Math.min(BEHIND_DEG, 2 * deg);
    }

    @Override
    public double extentRad() {
        return Math.toRadians(anglesDeg.get(anglesDeg.size() - 1));
    }

    @Override
    public OptionalDouble litRadiusM(double distanceM) {
        return new BeamShape(candela.get(0), Math.max(1, beamDeg())).litRadiusM(distanceM);
    }
}
