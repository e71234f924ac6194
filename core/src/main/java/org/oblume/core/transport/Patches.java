package org.oblume.core.transport;

import java.util.Arrays;
import org.oblume.core.colour.ConeLight;

/**
 * Small flat pieces of whatever sends light on evenly, in arrays. A piece gets light on one side and sends it out on the same (a wall, a
 * board) or on the other (a cloth).
 */
final class Patches {

    static final int CHANNELS = ConeLight.CHANNELS;
    /** Of the set, and not of something that stands in it. */
    static final int OF_THE_SET = -1;

    private static final int FIRST = 256;

    int size;
    double[] x = new double[FIRST];
    double[] y = new double[FIRST];
    double[] z = new double[FIRST];
    /** The way it sends light out. */
    double[] nx = new double[FIRST];

    double[] ny = new double[FIRST];
    double[] nz = new double[FIRST];
    /** 1 when it gets light on the side that it sends it out from, −1 when on the other. */
    double[] side = new double[FIRST];

    double[] area = new double[FIRST];
    /** Half of it along its width, a vector, and along its height. */
    double[] ux = new double[FIRST];

    double[] uy = new double[FIRST];
    double[] uz = new double[FIRST];
    double[] vx = new double[FIRST];
    double[] vy = new double[FIRST];
    double[] vz = new double[FIRST];
    double[][] sends = new double[FIRST][];
    int[] owner = new int[FIRST];
    /** Whether it is of a closed room, in which no light is lost. */
    boolean[] enclosed = new boolean[FIRST];

    /**
     * @param at middle
     * @param normal the way it sends light out
     * @param u half of its width
     * @param v half of its height
     * @param sends of what it gets, part of each channel
     */
    void add(
            double[] at,
            double[] normal,
            double side,
            double area,
            double[] u,
            double[] v,
            double[] sends,
            int owner,
            boolean enclosed) {
        if (size == x.length) {
            grow();
        }
        int i = size++;
        x[i] = at[0];
        y[i] = at[1];
        z[i] = at[2];
        nx[i] = normal[0];
        ny[i] = normal[1];
        nz[i] = normal[2];
        this.side[i] = side;
        this.area[i] = area;
        ux[i] = u[0];
        uy[i] = u[1];
        uz[i] = u[2];
        vx[i] = v[0];
        vy[i] = v[1];
        vz[i] = v[2];
        this.sends[i] = sends;
        this.owner[i] = owner;
        this.enclosed[i] = enclosed;
    }

    private void grow() {
        int more = 2 * x.length;
        x = Arrays.copyOf(x, more);
        y = Arrays.copyOf(y, more);
        z = Arrays.copyOf(z, more);
        nx = Arrays.copyOf(nx, more);
        ny = Arrays.copyOf(ny, more);
        nz = Arrays.copyOf(nz, more);
        side = Arrays.copyOf(side, more);
        area = Arrays.copyOf(area, more);
        ux = Arrays.copyOf(ux, more);
        uy = Arrays.copyOf(uy, more);
        uz = Arrays.copyOf(uz, more);
        vx = Arrays.copyOf(vx, more);
        vy = Arrays.copyOf(vy, more);
        vz = Arrays.copyOf(vz, more);
        sends = Arrays.copyOf(sends, more);
        owner = Arrays.copyOf(owner, more);
        enclosed = Arrays.copyOf(enclosed, more);
    }

    void addAll(Patches other) {
        for (int i = 0; i < other.size; i++) {
            add(
                    new double[] {other.x[i], other.y[i], other.z[i]},
                    new double[] {other.nx[i], other.ny[i], other.nz[i]},
                    other.side[i],
                    other.area[i],
                    new double[] {other.ux[i], other.uy[i], other.uz[i]},
                    new double[] {other.vx[i], other.vy[i], other.vz[i]},
                    other.sends[i],
                    other.owner[i],
                    other.enclosed[i]);
        }
    }

    /** Whether every one of them treats all channels alike. */
    boolean grey() {
        for (int i = 0; i < size; i++) {
            if (sends[i][0] != sends[i][1] || sends[i][1] != sends[i][2]) {
                return false;
            }
        }
        return true;
    }
}
