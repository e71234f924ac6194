package org.oblume.core.geometry;

/** A point of the set that can be found again another day: a door post, a column, a window corner. */
public record Landmark(String name, PlanPoint point) {}
