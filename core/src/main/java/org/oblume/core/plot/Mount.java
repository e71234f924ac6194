package org.oblume.core.plot;

/** What holds a placement up. */
public enum Mount {
    STAND,
    FLOOR,
    WALL_PLATE,
    OVERHEAD,
    MAGNET,
    HAND_HELD,
    IN_PLACE
}
