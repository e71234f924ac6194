package org.oblume.core.carry;

/** Why a value was changed from the shot it would have carried from. */
public enum Reason {
    MATCH("match", "so that it looks the same"),
    CHEAT("cheat", "not as the world would have it, on purpose"),
    FIX("fix", "something was in the way or wrong"),
    LOOK("look", "so that it looks different");

    private final String label;
    private final String means;

    Reason(String label, String means) {
        this.label = label;
        this.means = means;
    }

    public String label() {
        return label;
    }

    /** What is meant by it, for whoever chooses. */
    public String means() {
        return means;
    }
}
