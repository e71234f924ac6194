package org.oblume.core.network;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a slot, or two of them, tell a fixture. */
public enum Parameter {
    LEVEL("level"),
    CCT("cct"),
    TINT("tint"),
    RED("red"),
    GREEN("green"),
    BLUE("blue"),
    HUE("hue"),
    SATURATION("saturation"),
    ZOOM("zoom"),
    /** Which effect runs. It does not fade: on the way from one to another there are others. */
    EFFECT("effect"),
    RATE("rate"),
    /** A slot of the footprint that does nothing, or nothing that is recorded. */
    UNUSED("unused");

    private final String label;

    Parameter(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Whether values between two of its values make sense. */
    public boolean fades() {
        return this != EFFECT && this != UNUSED;
    }

    static Optional<Parameter> named(String word) {
        return Arrays.stream(values())
                .filter(p -> p.label.equals(word.toLowerCase(Locale.ROOT)))
                .findFirst();
    }
}
