package org.oblume.core.kit;

/** How stock without tags is counted. */
public enum StockForm {
    /** Gel in sheets of one size. */
    SHEET("sheet"),
    /** Gel or cloth on a roll: so wide, so much left on it. */
    ROLL("roll"),
    /** A cloth of one size, hemmed. */
    CLOTH("cloth"),
    STAND("stand"),
    CLAMP("clamp"),
    SANDBAG("sandbag"),
    /** A rope or chain that holds what its clamp lets go. */
    BOND("bond"),
    /** By length and section. */
    CABLE("cable"),
    BATTERY("battery"),
    /** Anything else, by its kind. */
    PIECE("piece");

    private final String word;

    StockForm(String word) {
        this.word = word;
    }

    /** In the crew's words: {@code sandbag}. */
    public String word() {
        return word;
    }

    /** Whether pieces are cut from it. */
    public boolean isCut() {
        return this == SHEET || this == ROLL;
    }
}
