package org.oblume.core.exposure;

import java.util.function.DoubleUnaryOperator;

/** The curves that ship. */
public enum ShippedCurve implements SignalCurve {
    /** The quick division many crews use: the signal itself. Display-referred. */
    NONE("divided as they are", v -> v, l -> l),
    /** ITU-R BT.709 with the standard's rounded constants, which leave a step of 0.3 % at 0.081. */
    BT709(
            "BT.709",
            v -> v < 0.081 ? v / 4.5 : Math.pow((v + 0.099) / 1.099, 1 / 0.45),
            l -> l < 0.018 ? 4.5 * l : 1.099 * Math.pow(l, 0.45) - 0.099),
    /** ITU-R BT.1886 display gamma. */
    BT1886("BT.1886", v -> Math.pow(Math.max(0, v), 2.4), l -> Math.pow(Math.max(0, l), 1 / 2.4)),
    /** Inverse OETF of hybrid log-gamma, ITU-R BT.2100. */
    HLG("HLG", ShippedCurve::hlg, ShippedCurve::hlgSignal),
    /** ACEScct, Academy S-2016-001. */
    ACESCCT(
            "ACEScct",
            v -> v <= 0.155251141552511 ? (v - 0.0729055341958355) / 10.5402377416545 : Math.pow(2, v * 17.52 - 9.72),
            l -> l <= 0.0078125
                    ? 10.5402377416545 * l + 0.0729055341958355
                    : (Math.log(l) / Math.log(2) + 9.72) / 17.52);

    private static final double PERCENT = 100;
    private static final double HLG_A = 0.17883277;
    private static final double HLG_B = 1 - 4 * HLG_A;
    private static final double HLG_C = 0.5 - HLG_A * Math.log(4 * HLG_A);
    private final String label;
    private final DoubleUnaryOperator toLight;
    private final DoubleUnaryOperator toSignal;

    ShippedCurve(String label, DoubleUnaryOperator toLight, DoubleUnaryOperator toSignal) {
        this.label = label;
        this.toLight = toLight;
        this.toSignal = toSignal;
    }

    @Override
    public double light(double percent) {
        return toLight.applyAsDouble(percent / PERCENT);
    }

    @Override
    public double percent(double light) {
        return PERCENT * toSignal.applyAsDouble(light);
    }

    @Override
    public double top() {
        return light(PERCENT);
    }

    @Override
    public String label() {
        return label;
    }

    private static double hlg(double v) {
        return v <= 0.5 ? v * Math.abs(v) / 3 : (Math.exp((v - HLG_C) / HLG_A) + HLG_B) / 12;
    }

    private static double hlgSignal(double light) {
        return light <= 1.0 / 12 ? Math.sqrt(3 * light) : HLG_A * Math.log(12 * light - HLG_B) + HLG_C;
    }
}
