package org.oblume.core.carry;

/** Why a value was changed from the shot it would have carried from. */
public enum Reason {
    /** So that it looks the same. */
    MATCH,
    /** Not as the world would have it, on purpose. */
    CHEAT,
    /** Something was in the way or wrong. */
    FIX,
    /** So that it looks different. */
    LOOK
}
