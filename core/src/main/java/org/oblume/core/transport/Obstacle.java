package org.oblume.core.transport;

/** Something that light meets on its way. */
interface Obstacle {

    /**
     * What part of a way is covered by it.
     *
     * @param ra radius of the bundle of rays where it starts, metres; 0 for a single ray
     * @param rb where it ends
     * @return 0 when it is past it, to 1 when all of the bundle meets it
     */
    double stops(double ax, double ay, double az, double bx, double by, double bz, double ra, double rb);

    /** What is left of a light of which a part meets it. */
    void filter(double covered, double[] light);
}
