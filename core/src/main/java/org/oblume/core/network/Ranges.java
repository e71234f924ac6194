package org.oblume.core.network;

import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Piece;

/** Between what a fixture can be dialled. The ends of a range are the same for what it cannot be dialled in. */
public record Ranges(Range kelvin, Range duv, Range beamDeg) {

    private static final Range ANY_WHITE = new Range(1000, 25000);
    private static final Range ANY_BEAM = new Range(1, 180);

    /**
     * @param low what slot value 0 stands for
     * @param high what full stands for
     */
    public record Range(double low, double high) {

        /** A value as a part of the range, 0 to 1; beyond an end it is the end. */
        double part(double value) {
            return high == low ? 0 : Math.max(0, Math.min(1, (value - low) / (high - low)));
        }

        double at(double part) {
            return low + part * (high - low);
        }

        double span() {
            return high - low;
        }

        boolean canBeDialled() {
            return high > low;
        }
    }

    public static Ranges of(Piece piece) {
        Lamp lamp = piece.lamp();
        Range kelvin = piece.lowestKelvin() == null || piece.highestKelvin() == null
                ? ANY_WHITE
                : new Range(piece.lowestKelvin(), piece.highestKelvin());
        return lamp == null
                ? new Ranges(kelvin, new Range(0, 0), ANY_BEAM)
                : new Ranges(
                        kelvin,
                        new Range(-lamp.tintReach(), lamp.tintReach()),
                        new Range(lamp.optics().spotBeamDeg(), lamp.optics().floodBeamDeg()));
    }
}
