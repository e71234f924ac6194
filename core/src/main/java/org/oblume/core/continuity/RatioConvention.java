package org.oblume.core.continuity;

/** Which ratio a scene carries: crews differ, and a close shot is judged by the same as the wide. */
public enum RatioConvention {
    /** All that falls on the lit cheek to all that falls on the shadow cheek. */
    LIT_TO_SHADOW("lit side to shadow side"),
    /** The key alone to the fill alone. */
    KEY_TO_FILL("key alone to fill alone");

    private final String label;

    RatioConvention(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
