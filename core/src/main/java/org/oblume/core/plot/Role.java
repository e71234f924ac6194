package org.oblume.core.plot;

/** What a placement is there for. */
public enum Role {
    SUBJECT("subject"),
    CAMERA("camera"),
    AMBIENCE("ambience"),
    PRACTICAL("practical"),
    KEY("key"),
    FILL("fill"),
    NEGATIVE_FILL("negative fill"),
    EDGE("edge"),
    BACKGROUND("background"),
    CONDITION("condition of the place"),
    CUE("cue");

    private final String label;

    Role(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
