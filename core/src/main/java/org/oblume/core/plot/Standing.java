package org.oblume.core.plot;

import java.util.Arrays;
import java.util.Locale;
import org.oblume.core.units.Refusal;

/** Whether a placement is on set in a shot. */
public record Standing(State state) implements AttributeValue {

    /** On and working; standing but switched off; taken away (struck). */
    public enum State {
        ON, OFF, STRUCK
    }

    public static final Standing ON = new Standing(State.ON);
    public static final Standing STRUCK = new Standing(State.STRUCK);

    public static Standing parse(String text) {
        return Arrays.stream(State.values()).filter(s -> s.name().equalsIgnoreCase(text.strip())).findFirst()
                .map(Standing::new)
                .orElseThrow(() -> new Refusal("“%s” is not on, off or struck.".formatted(text)));
    }

    @Override
    public String say() {
        return state.name().toLowerCase(Locale.ROOT);
    }
}
