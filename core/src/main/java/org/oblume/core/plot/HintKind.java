package org.oblume.core.plot;

/** What is worth a look on a plot. A hint never blocks. */
public enum HintKind {
    IN_FRAME("in frame"),
    NO_HEADROOM("no headroom"),
    FLARE("flare"),
    GLASSES("glasses"),
    NOSE_SHADOWS("nose shadows"),
    KICKER_ON_NOSE("kicker on the nose"),
    MIXED_COLOUR("mixed colour"),
    NEAR_CLOTH("near cloth"),
    BURN_POSITION("burn position"),
    UNDER_A_UNIT("under a unit"),
    RESTRICTED("not allowed there");

    private final String label;

    HintKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
