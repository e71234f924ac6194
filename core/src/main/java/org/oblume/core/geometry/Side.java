package org.oblume.core.geometry;

/** The hand on which a point lies for someone walking from landmark A to landmark B. */
public enum Side {
    LEFT,
    RIGHT;

    static Side of(PlanPoint a, PlanPoint b, PlanPoint point) {
        return Plane.turn(a, b, point) > 0 ? LEFT : RIGHT;
    }
}
