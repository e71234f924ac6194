package org.oblume.core.plot;

import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Checks;

/**
 * Something about the place that is no light and changes the light, or what is seen: haze in the air, house lights, a blind, a door.
 *
 * @param sort what it is
 * @param state how it is in this shot, in the crew's words, 1 to 120 characters: {@code light haze}, {@code off}, {@code half shut}
 * @param who the answer to what its sort asks, to 120 characters, or null while nobody has said it: who was told, who can switch it
 */
public record Condition(Sort sort, String state, @Nullable String who) implements AttributeValue {

    private static final int LONGEST = 120;

    /** What a condition is of. */
    public enum Sort {
        HAZE("haze", "who was told of alarms", "alarms told to"),
        SMOKE("smoke", "who was told of alarms", "alarms told to"),
        HOUSE_LIGHTS("house lights", "who can switch them", "switched by"),
        BLIND("blind, curtain", "who sees to it", "seen to by"),
        DOOR("door", "who sees to it", "seen to by"),
        DRESSING("set dressing", "who sees to it", "seen to by"),
        WARDROBE("wardrobe", "who sees to it", "seen to by"),
        VEHICLE("vehicle", "safety officer of the place", "safety officer"),
        ROAD("road, traffic", "safety officer of the place", "safety officer"),
        AIRCRAFT("aircraft, drone", "safety officer of the place", "safety officer"),
        OTHER("something else", "who sees to it", "seen to by");

        private final String label;
        private final String asks;
        private final String tells;

        Sort(String label, String asks, String tells) {
            this.label = label;
            this.asks = asks;
            this.tells = tells;
        }

        public String label() {
            return label;
        }

        /** What has to be known of it besides how it is. */
        public String asks() {
            return asks;
        }

        /** Whether it is in the air, where alarms and lungs find it. */
        public boolean isInTheAir() {
            return this == HAZE || this == SMOKE;
        }

        /** Whether the place has a safety officer of its own for it. */
        public boolean isOfThePlace() {
            return this == VEHICLE || this == ROAD || this == AIRCRAFT;
        }
    }

    public Condition {
        state = Checks.text("How it is", state, LONGEST);
        who = who == null || who.isBlank() ? null : Checks.text("Who", who, LONGEST);
    }

    @Override
    public boolean namesItself() {
        return true;
    }

    @Override
    public String say() {
        return who == null ? state : "%s; %s %s".formatted(state, sort.tells, who);
    }
}
