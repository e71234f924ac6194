package org.oblume.server.earlier;

/** What is said as a whole. */
public enum Said {
    POWER_OF_SET,
    DAY,
    PLAN_OF_SHOT,
    UNIT,
    COUNTED_STOCK
}
