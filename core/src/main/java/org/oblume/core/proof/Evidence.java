package org.oblume.core.proof;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.oblume.core.colour.ColourReading;
import org.oblume.core.colour.ConeLight;
import org.oblume.core.units.Kelvin;

/** Readings, and what each of them would be with something otherwise. */
final class Evidence {

    /** What was not read may be anything, spreads squared. */
    private static final double ANYTHING = 100;

    private static final double LN2 = Math.log(2);
    private static final double STEP_MIRED = 1;
    private static final double STEP_DUV = 1e-4;
    /** A light's stops, white and tint, and its place along three axes. */
    private static final int SPREADS = 6;

    private final double[][][] base;
    private final double[][][][] nudged;
    private final double[][] mired;
    private final double[][] duv;
    private final int[] probe;
    private final int[] alone;
    private final double[][] recorded;
    private final double[] read;
    private final double[][] meter;
    private final int figures;
    private final Spread spread;
    private final Spread.Figures[] strays;

    /**
     * Lights as they would be.
     *
     * @param lights that change, in order
     * @param rows what each of them brings then, by light
     * @param more what every reading has more of, by reading
     */
    record Otherwise(int[] lights, double[][][] rows, double[][] more) {

        static final Otherwise AS_RECORDED = new Otherwise(new int[0], new double[0][][], new double[0][]);

        double @Nullable [][] row(int light) {
            return light < rows.length ? rows[light] : null;
        }

        /** The lights that change by both. */
        int[] shared(Otherwise other) {
            int[] both = new int[lights.length];
            int count = 0;
            for (int i : lights) {
                if (other.row(i) != null) {
                    both[count++] = i;
                }
            }
            return Arrays.copyOf(both, count);
        }
    }

    Evidence(Suspects suspects, Spread spread, List<ProofReading> readings) {
        Recorded shot = suspects.shot();
        this.base = shot.brought();
        this.nudged = suspects.nudged();
        this.spread = spread;
        this.strays = shot.lights().stream()
                .map(l -> spread.of(shot.isMetered(l.key())))
                .toArray(Spread.Figures[]::new);
        int n = readings.size();
        this.probe = new int[n];
        this.alone = new int[n];
        this.recorded = new double[n][ConeLight.CHANNELS];
        this.mired = new double[base.length][];
        this.duv = new double[base.length][];
        for (int i = 0; i < base.length; i++) {
            whites(i);
        }
        this.read = new double[Features.COUNT * n];
        this.meter = new double[n * Features.COUNT][n * Features.COUNT];
        List<String> keys = shot.lights().stream().map(l -> l.key()).toList();
        int counted = 0;
        for (int r = 0; r < n; r++) {
            ProofReading reading = readings.get(r);
            probe[r] = shot.probes().indexOf(reading.probe());
            alone[r] = reading.alone() == null ? -1 : keys.indexOf(reading.alone());
            for (int i = 0; i < base.length; i++) {
                if (isOn(r, i)) {
                    add(recorded[r], base[i][probe[r]]);
                }
            }
            counted += take(r, reading);
        }
        this.figures = counted;
    }

    /** Whether a reading is of the shot as it is recorded: its mark stands, its light is on. */
    static boolean isOf(Suspects suspects, ProofReading reading) {
        Recorded shot = suspects.shot();
        return shot.probes().contains(reading.probe())
                && (reading.alone() == null
                        || shot.lights().stream().anyMatch(l -> l.key().equals(reading.alone())));
    }

    private static void add(double[] sum, double[] more) {
        for (int c = 0; c < sum.length; c++) {
            sum[c] += more[c];
        }
    }

    /** How the channels of a light change with its white and its tint, a part for each mired and Duv. */
    private void whites(int light) {
        double[] brightest = new double[ConeLight.CHANNELS];
        for (double[] cones : base[light]) {
            if (ConeLight.luminance(cones) > ConeLight.luminance(brightest)) {
                brightest = cones;
            }
        }
        mired[light] = new double[ConeLight.CHANNELS];
        duv[light] = new double[ConeLight.CHANNELS];
        if (ConeLight.luminance(brightest) > 0) {
            ColourReading white = ConeLight.mix(brightest).reading();
            double at = Kelvin.MIRED_PRODUCT / white.kelvin();
            double[] now = ConeLight.white(at, white.duv());
            double[] warmer = ConeLight.white(at + STEP_MIRED, white.duv());
            double[] greener = ConeLight.white(at, white.duv() + STEP_DUV);
            for (int c = 0; c < now.length; c++) {
                mired[light][c] = (warmer[c] / now[c] - 1) / STEP_MIRED;
                duv[light][c] = (greener[c] / now[c] - 1) / STEP_DUV;
            }
        }
    }

    /** @return how many figures of it were read */
    private int take(int r, ProofReading reading) {
        int at = Features.COUNT * r;
        Features.of(recorded[r], read, at);
        int counted = 0;
        Double lux = reading.lux();
        double stops = spread.meter().stops() * LN2;
        meter[at][at] = stops * stops;
        if (lux == null) {
            meter[at][at] = ANYTHING;
        } else {
            read[at] = Math.log(lux);
            counted++;
        }
        Double kelvin = reading.kelvin();
        boolean dark = !(ConeLight.luminance(recorded[r]) > 0);
        if (kelvin == null || dark) {
            meter[at + 1][at + 1] = ANYTHING;
            meter[at + 2][at + 2] = ANYTHING;
            return counted;
        }
        double tint = reading.duv() != null
                ? reading.duv()
                : ConeLight.mix(recorded[r]).reading().duv();
        double[] uv = Features.white(kelvin, tint);
        read[at + 1] = uv[0];
        read[at + 2] = uv[1];
        double[] warmer = Features.white(Kelvin.MIRED_PRODUCT / (Kelvin.MIRED_PRODUCT / kelvin + STEP_MIRED), tint);
        double[] greener = Features.white(kelvin, tint + STEP_DUV);
        double duvSpread = reading.duv() == null ? 1 : spread.meter().duv();
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2; j++) {
                meter[at + 1 + i][at + 1 + j] = (warmer[i] - uv[i])
                                * (warmer[j] - uv[j])
                                * square(spread.meter().mired() / STEP_MIRED)
                        + (greener[i] - uv[i]) * (greener[j] - uv[j]) * square(duvSpread / STEP_DUV);
            }
        }
        return counted + (reading.duv() == null ? 1 : 2);
    }

    private static double square(double value) {
        return value * value;
    }

    /** How many figures were read: a light is one, a white and a tint one each. */
    int figures() {
        return figures;
    }

    int readings() {
        return probe.length;
    }

    /** What lights bring with something otherwise. */
    Otherwise otherwise(Fault fault) {
        if (fault.effect() instanceof Fault.Gains gains) {
            double[][] now = new double[base[gains.light()].length][];
            for (int p : probe) {
                now[p] = ConeLight.times(base[gains.light()][p], gains.of());
            }
            return otherwise(Map.of(gains.light(), now), new double[ConeLight.CHANNELS]);
        }
        return fault.effect() instanceof Fault.Rows other
                ? otherwise(other.of(), new double[ConeLight.CHANNELS])
                : otherwise(Map.of(), ((Fault.Added) fault.effect()).cones());
    }

    private Otherwise otherwise(Map<Integer, double[][]> changed, double[] added) {
        double[][][] rows = new double[base.length][][];
        changed.forEach((light, now) -> rows[light] = now);
        double[][] more = new double[probe.length][];
        for (int r = 0; r < more.length; r++) {
            more[r] = added.clone();
            for (int i : changed.keySet()) {
                if (isOn(r, i)) {
                    for (int c = 0; c < ConeLight.CHANNELS; c++) {
                        more[r][c] += rows[i][probe[r]][c] - base[i][probe[r]][c];
                    }
                }
            }
        }
        return new Otherwise(changed.keySet().stream().mapToInt(i -> i).sorted().toArray(), rows, more);
    }

    private boolean isOn(int r, int light) {
        return alone[r] < 0 || alone[r] == light;
    }

    /** One of two faults; as recorded where there is none. */
    Otherwise again(List<Fault> faults, int which) {
        return which < faults.size() ? otherwise(faults.get(which)) : Otherwise.AS_RECORDED;
    }

    private void row(int light, int p, Otherwise one, Otherwise other, double[] into) {
        double[] before = base[light][p];
        double @Nullable [][] a = one.row(light);
        double @Nullable [][] b = other.row(light);
        for (int c = 0; c < into.length; c++) {
            into[c] = a == null
                    ? b == null ? before[c] : b[p][c]
                    : b == null ? a[p][c] : before[c] > 0 ? a[p][c] * b[p][c] / before[c] : a[p][c];
        }
    }

    /** What would be read. */
    double[] cones(int r, Otherwise one, Otherwise other) {
        double[] cones = new double[ConeLight.CHANNELS];
        cones(r, one, other, one.shared(other), cones);
        return cones;
    }

    /** @param shared the lights that change by both: what both do to them is not the sum of what each does */
    private void cones(int r, Otherwise one, Otherwise other, int[] shared, double[] into) {
        System.arraycopy(recorded[r], 0, into, 0, into.length);
        if (one.more.length > 0) {
            add(into, one.more[r]);
        }
        if (other.more.length > 0) {
            add(into, other.more[r]);
        }
        for (int i : shared) {
            if (isOn(r, i)) {
                double[] both = new double[into.length];
                row(i, probe[r], one, other, both);
                double[] a = Objects.requireNonNull(one.rows[i])[probe[r]];
                double[] b = Objects.requireNonNull(other.rows[i])[probe[r]];
                for (int c = 0; c < into.length; c++) {
                    into[c] += both[c] - a[c] - b[c] + base[i][probe[r]][c];
                }
            }
        }
    }

    /** What was read less what would be read. */
    double[] residual(Otherwise one, Otherwise other) {
        double[] residual = new double[read.length];
        double[] cones = new double[ConeLight.CHANNELS];
        int[] shared = one.shared(other);
        for (int r = 0; r < probe.length; r++) {
            cones(r, one, other, shared, cones);
            Features.of(cones, residual, Features.COUNT * r);
        }
        for (int f = 0; f < residual.length; f++) {
            residual[f] = meter[f][f] >= ANYTHING ? 0 : read[f] - residual[f];
        }
        return residual;
    }

    /** How what is read spreads together: by the meter for each reading, by each light for all that it is part of. */
    double[][] covariance(Otherwise one, Otherwise other) {
        int n = read.length;
        double[][] all = new double[n][];
        for (int f = 0; f < n; f++) {
            all[f] = meter[f].clone();
        }
        double[][] moved = moved(one, other);
        for (double[] way : moved) {
            for (int f = 0; f < n; f++) {
                if (way[f] != 0) {
                    for (int g = 0; g < n; g++) {
                        all[f][g] += way[f] * way[g];
                    }
                }
            }
        }
        return all;
    }

    /** What every reading is moved by when one light is off by one spread in one way. */
    private double[][] moved(Otherwise one, Otherwise other) {
        double[][] moved = new double[base.length * SPREADS][read.length];
        double[] cones = new double[ConeLight.CHANNELS];
        double[] row = new double[ConeLight.CHANNELS];
        double[] by = new double[ConeLight.CHANNELS];
        int[] shared = one.shared(other);
        for (int r = 0; r < probe.length; r++) {
            cones(r, one, other, shared, cones);
            double[][] slopes = Features.slopes(cones);
            int p = probe[r];
            for (int i = 0; i < base.length; i++) {
                if (isOn(r, i)) {
                    row(i, p, one, other, row);
                    for (int way = 0; way < SPREADS; way++) {
                        by(i, p, way, row, by);
                        for (int f = 0; f < Features.COUNT; f++) {
                            moved[i * SPREADS + way][Features.COUNT * r + f] =
                                    slopes[f][0] * by[0] + slopes[f][1] * by[1] + slopes[f][2] * by[2];
                        }
                    }
                }
            }
        }
        return moved;
    }

    private void by(int light, int p, int way, double[] row, double[] into) {
        for (int c = 0; c < into.length; c++) {
            double before = base[light][p][c];
            into[c] = switch (way) {
                case 0 -> row[c] * LN2 * strays[light].stops();
                case 1 -> row[c] * mired[light][c] * strays[light].mired();
                case 2 -> row[c] * duv[light][c] * strays[light].duv();
                default -> before > 0 ? nudged[light][way - SPREADS / 2][p][c] * spread.metres() * row[c] / before : 0;
            };
        }
    }
}
