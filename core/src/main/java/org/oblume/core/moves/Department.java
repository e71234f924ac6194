package org.oblume.core.moves;

import org.oblume.core.plot.Placement;

/** Who moves it. */
public enum Department {
    ELECTRIC("electric", 2),
    GRIP("grip", 2),
    CONTROL("control", 1),
    CAMERA("camera", 2),
    /** With everyone standing by. */
    TOGETHER("together", 1);

    private final String label;
    private final int usualPeople;

    Department(String label, int usualPeople) {
        this.label = label;
        this.usualPeople = usualPeople;
    }

    /** Whose it is to move. */
    public static Department of(Placement thing) {
        return switch (thing.kind()) {
            case CAMERA, MARK -> CAMERA;
            case HEAD, PRACTICAL -> ELECTRIC;
            case CUE -> CONTROL;
            case CONDITION -> TOGETHER;
            default -> GRIP;
        };
    }

    public String label() {
        return label;
    }

    /** People, until the crew says otherwise. */
    public int usualPeople() {
        return usualPeople;
    }
}
