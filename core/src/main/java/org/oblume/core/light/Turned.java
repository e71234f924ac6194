package org.oblume.core.light;

/** Which way a meter is held at a mark when it reads one light alone. */
public enum Turned {
    /** Towards where the light stands. */
    TO_LIGHT,
    /** Towards the camera's lens. */
    TO_LENS
}
