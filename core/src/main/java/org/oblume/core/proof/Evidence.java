package org.oblume.core.proof;

import java.util.List;
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
    private final double[][] total;
    private final double[] read;
    private final double[][] meter;
    private final int figures;
    private final Spread spread;

    /** Lights as they would be: rows of those that change, and what comes on top. */
    record Otherwise(double[] @Nullable [][] rows, double @Nullable [] added) {

        static final Otherwise AS_RECORDED = new Otherwise(new double[0][][], null);

        double @Nullable [][] row(int light) {
            return light < rows.length ? rows[light] : null;
        }
    }

    Evidence(Suspects suspects, Spread spread, List<ProofReading> readings) {
        Recorded shot = suspects.shot();
        this.base = shot.brought();
        this.nudged = suspects.nudged();
        this.spread = spread;
        int n = readings.size();
        this.probe = new int[n];
        this.alone = new int[n];
        this.total = new double[shot.probes().size()][ConeLight.CHANNELS];
        for (double[][] light : base) {
            for (int p = 0; p < total.length; p++) {
                add(total[p], light[p]);
            }
        }
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
        double[] recorded = new double[ConeLight.CHANNELS];
        cones(r, Otherwise.AS_RECORDED, Otherwise.AS_RECORDED, recorded);
        Features.of(recorded, read, at);
        int counted = 0;
        Double lux = reading.lux();
        double stops = spread.meterStops() * LN2;
        meter[at][at] = stops * stops;
        if (lux == null) {
            meter[at][at] = ANYTHING;
        } else {
            read[at] = Math.log(lux);
            counted++;
        }
        Double kelvin = reading.kelvin();
        boolean dark = !(ConeLight.luminance(recorded) > 0);
        if (kelvin == null || dark) {
            meter[at + 1][at + 1] = ANYTHING;
            meter[at + 2][at + 2] = ANYTHING;
            return counted;
        }
        double tint = reading.duv() != null
                ? reading.duv()
                : ConeLight.mix(recorded).reading().duv();
        double[] uv = Features.white(kelvin, tint);
        read[at + 1] = uv[0];
        read[at + 2] = uv[1];
        double[] warmer = Features.white(Kelvin.MIRED_PRODUCT / (Kelvin.MIRED_PRODUCT / kelvin + STEP_MIRED), tint);
        double[] greener = Features.white(kelvin, tint + STEP_DUV);
        double duvSpread = reading.duv() == null ? 1 : spread.meterDuv();
        for (int i = 0; i < 2; i++) {
            for (int j = 0; j < 2; j++) {
                meter[at + 1 + i][at + 1 + j] =
                        (warmer[i] - uv[i]) * (warmer[j] - uv[j]) * square(spread.meterMired() / STEP_MIRED)
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
        double[][][] rows = new double[base.length][][];
        if (fault.effect() instanceof Fault.Gains gains) {
            double[][] now = new double[total.length][];
            for (int p : probe) {
                now[p] = ConeLight.times(base[gains.light()][p], gains.of());
            }
            rows[gains.light()] = now;
            return new Otherwise(rows, null);
        }
        if (fault.effect() instanceof Fault.Rows other) {
            other.of().forEach((light, now) -> rows[light] = now);
            return new Otherwise(rows, null);
        }
        return new Otherwise(rows, ((Fault.Added) fault.effect()).cones());
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

    private void cones(int r, Otherwise one, Otherwise other, double[] into) {
        int p = probe[r];
        if (alone[r] >= 0) {
            row(alone[r], p, one, other, into);
        } else {
            double[] row = new double[into.length];
            System.arraycopy(total[p], 0, into, 0, into.length);
            for (int i = 0; i < base.length; i++) {
                if (one.row(i) != null || other.row(i) != null) {
                    row(i, p, one, other, row);
                    for (int c = 0; c < into.length; c++) {
                        into[c] += row[c] - base[i][p][c];
                    }
                }
            }
        }
        if (one.added() != null) {
            add(into, one.added());
        }
        if (other.added() != null) {
            add(into, other.added());
        }
    }

    /** What was read less what would be read. */
    double[] residual(Otherwise one, Otherwise other) {
        double[] residual = new double[read.length];
        double[] cones = new double[ConeLight.CHANNELS];
        for (int r = 0; r < probe.length; r++) {
            cones(r, one, other, cones);
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
        for (int r = 0; r < probe.length; r++) {
            cones(r, one, other, cones);
            double[][] slopes = Features.slopes(cones);
            int p = probe[r];
            for (int i = 0; i < base.length; i++) {
                if (alone[r] < 0 || alone[r] == i) {
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
                case 0 -> row[c] * LN2 * spread.stops();
                case 1 -> row[c] * mired[light][c] * spread.mired();
                case 2 -> row[c] * duv[light][c] * spread.duv();
                default -> before > 0 ? nudged[light][way - SPREADS / 2][p][c] * spread.metres() * row[c] / before : 0;
            };
        }
    }
}
