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
    RESTRICTED("not allowed there"),
    THROUGH_OPENING("through an opening"),
    FROM_BELOW("from below"),
    FACES_AWAY("faces away"),
    FRAME_BEYOND_MARK("frame behind the mark"),
    SUN_UNKNOWN("sun not known"),
    WINDOW_IN_FRAME("window in frame");

    private final String label;

    HintKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
