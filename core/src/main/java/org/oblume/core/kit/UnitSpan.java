package org.oblume.core.kit;

import java.time.LocalDate;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * Where a unit is for some days, when it is not in the store.
 *
 * @param from the first day
 * @param until the last day, or null while nobody knows
 * @param note why, or with whom, 1 to 200 characters, or null
 */
public record UnitSpan(State state, LocalDate from, @Nullable LocalDate until, @Nullable String note) {

    private static final int LONGEST_NOTE = 200;

    /** Where it is. */
    public enum State {
        ON_TRUCK("on the truck"),
        OUT("out on hire"),
        REPAIR("at repair");

        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether a crew can have it. */
        public boolean isThere() {
            return this == ON_TRUCK;
        }
    }

    public UnitSpan {
        if (until != null && until.isBefore(from)) {
            throw new Refusal(
                    "until", "It would be over on %s, before it began on %s.".formatted(day(until), day(from)));
        }
        note = note == null || note.isBlank() ? null : Checks.text("The note", note, LONGEST_NOTE);
    }

    public boolean isOn(LocalDate day) {
        return !day.isBefore(from) && (until == null || !day.isAfter(until));
    }

    boolean meets(UnitSpan other) {
        return (until == null || !other.from.isAfter(until)) && (other.until == null || !from.isAfter(other.until));
    }

    /** {@code out on hire until 20 Nov}. */
    public String say() {
        String since = until == null ? " since " + day(from) : " until " + day(until);
        return state.words + since + (note == null ? "" : ", " + note);
    }

    /** {@code 20 Nov}. */
    static String day(LocalDate date) {
        String month = date.getMonth().name();
        return "%d %s%s"
                .formatted(
                        date.getDayOfMonth(),
                        month.charAt(0),
                        month.substring(1, 3).toLowerCase(Locale.ROOT));
    }
}
