package org.oblume.core.filter;

/** What a stock item is used for. */
public enum StockKind {
    /** Correction of colour temperature: CTO, CTB, CTS. */
    CORRECTION("correction"),
    /** Plus or minus green. */
    TINT("tint"),
    NEUTRAL_DENSITY("neutral density"),
    /** Nets and wire scrims. */
    NET("net, scrim"),
    DIFFUSION("diffusion"),
    /** Narrows the spill, costs light. */
    GRID("grid"),
    /** A saturated colour, named by us. */
    COLOUR("colour"),
    /** Light comes back off it. */
    BOUNCE("bounce"),
    /** Takes light away. */
    BLACK("black");

    private final String label;

    StockKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
