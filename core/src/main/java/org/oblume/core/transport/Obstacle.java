package org.oblume.core.transport;

/** Something that light meets on its way. */
sealed interface Obstacle permits Sheet, Slab {

    /** What is left of a light of which a part, 0 to 1, meets it. */
    void filter(double covered, double[] light);
}
