package org.oblume.server.still;

/** What a picture of a shot is. */
public enum StillKind {
    /** Of the camera that shoots: its signal counts, through the scene's curve. */
    FRAME,
    /** Of anything else: a phone has graded it, and its figures are only what is seen. */
    PHOTOGRAPH,
    /** Of how the set is dressed. */
    DRESSING,
    /** Of what the people wear. */
    WARDROBE;

    /** Whether figures are read off it; the others are looked at. */
    boolean isRead() {
        return this == FRAME || this == PHOTOGRAPH;
    }
}
