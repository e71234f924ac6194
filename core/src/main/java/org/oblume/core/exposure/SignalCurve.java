package org.oblume.core.exposure;

import java.util.function.DoubleUnaryOperator;

/** From a level on the monitor, percent of the video range, to the light that made it, relative to 1. */
public enum SignalCurve {
    /** The quick division many crews use: the signal itself. Display-referred. */
    NONE(v -> v),
    /** ITU-R BT.709 with the standard's rounded constants, which leave a step of 0.3 % at 0.081. */
    BT709(v -> v < 0.081 ? v / 4.5 : Math.pow((v + 0.099) / 1.099, 1 / 0.45)),
    /** ITU-R BT.1886 display gamma. */
    BT1886(v -> Math.pow(Math.max(0, v), 2.4)),
    /** Inverse OETF of hybrid log-gamma, ITU-R BT.2100. */
    HLG(SignalCurve::hlg),
    /** ACEScct, Academy S-2016-001. */
    ACESCCT(v -> v <= 0.155251141552511 ? (v - 0.0729055341958355) / 10.5402377416545 : Math.pow(2, v * 17.52 - 9.72));

    private static final double PERCENT = 100;
    private final DoubleUnaryOperator toLight;

    SignalCurve(DoubleUnaryOperator toLight) {
        this.toLight = toLight;
    }

    /** Relative light of a reading in percent of the video range; 0 or below when there is none to tell. */
    public double light(double percent) {
        return toLight.applyAsDouble(percent / PERCENT);
    }

    private static double hlg(double v) {
        double a = 0.17883277;
        double b = 1 - 4 * a;
        double c = 0.5 - a * Math.log(4 * a);
        return v <= 0.5 ? v * Math.abs(v) / 3 : (Math.exp((v - c) / a) + b) / 12;
    }
}
