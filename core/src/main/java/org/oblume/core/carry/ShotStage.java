package org.oblume.core.carry;

/** How far a shot has come. What is shot is locked. */
public enum ShotStage {
    PLANNED("planned"),
    LIT("lit"),
    SHOT("shot");

    private final String label;

    ShotStage(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
