package org.oblume.core.plot;

/** How a light is told what to do. */
public enum ControlPath {
    /** A cable to a node. */
    WIRED("wired"),
    /** A radio link to a node. */
    WIRELESS("wireless"),
    /** A group in the app on somebody's phone. */
    APP("app"),
    /** Set at the head. */
    BY_HAND("by hand");

    private final String label;

    ControlPath(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Whether the network reaches it. */
    public boolean isNetwork() {
        return this == WIRED || this == WIRELESS;
    }
}
