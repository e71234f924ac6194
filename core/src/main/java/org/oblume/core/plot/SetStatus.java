package org.oblume.core.plot;

import java.util.Arrays;
import java.util.Locale;
import org.oblume.core.units.Refusal;

/** Whether a placement is on set in a shot. */
public record SetStatus(State state) implements AttributeValue {

    /** On and working; standing but switched off; taken away (struck). */
    public enum State {
        ON,
        OFF,
        STRUCK
    }

    public static final SetStatus ON = new SetStatus(State.ON);
    public static final SetStatus STRUCK = new SetStatus(State.STRUCK);

    public static SetStatus parse(String text) {
        return Arrays.stream(State.values())
                .filter(s -> s.name().equalsIgnoreCase(text.strip()))
                .findFirst()
                .map(SetStatus::new)
                .orElseThrow(() -> new Refusal("“%s” is not on, off or struck.".formatted(text)));
    }

    @Override
    public String say() {
        return state.name().toLowerCase(Locale.ROOT);
    }
}
