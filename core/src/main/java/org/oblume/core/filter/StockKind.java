package org.oblume.core.filter;

/** What a stock item is used for. */
public enum StockKind {
    /** Correction of colour temperature: CTO, CTB, CTS. */
    CORRECTION,
    /** Plus or minus green. */
    TINT,
    NEUTRAL_DENSITY,
    /** Nets and wire scrims. */
    NET,
    DIFFUSION,
    /** Narrows the spill, costs light. */
    GRID,
    /** A saturated colour, named by us. */
    COLOUR,
    /** Light comes back off it. */
    BOUNCE,
    /** Takes light away. */
    BLACK
}
