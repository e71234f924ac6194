package org.oblume.core.metering;

/** Where a meter is held at a mark for all lights, besides the lit cheek. */
public enum MeterPlace {
    SHADOW("shadow cheek"),
    BACKGROUND("background"),
    /** At the mark, turned to what lies behind the subject on its left: where edges and kickers arrive. */
    BACK_LEFT("back left"),
    BACK_RIGHT("back right"),
    /** At the mark, turned to where the key stands. */
    KEY("to the key"),
    /** A place of the crew's own, by its name; nothing is predicted there. */
    OWN("on the");

    private final String label;

    MeterPlace(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
