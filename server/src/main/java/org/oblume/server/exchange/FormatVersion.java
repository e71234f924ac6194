package org.oblume.server.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.Set;

/** Which version of the format a scene needs: the lowest that has all that it says, so that an older Oblume reads what it can. */
final class FormatVersion {

    static final int FIRST = 1;
    /** Says how soft a thing is, what part of a front is covered and by what it is cut, and more of lamps, doors, furniture and readings. */
    static final int SECOND = 2;

    /** Says how places were measured, and who looked at what on set. */
    static final int THIRD = 3;

    /** Says what was exchanged, how the place is, and what changes within a shot. */
    static final int FOURTH = 4;

    /** Says what was read at other places than the cheeks and the background. */
    static final int FIFTH = 5;

    /** Says how high landmarks are, or that a place was found by photographs. */
    static final int SIXTH = 6;

    /** Says what the monitor is read through. */
    static final int SEVENTH = 7;

    /** Says what a shot takes and needs of its day, when the sun lay on a mark, or what feeds what. */
    static final int EIGHTH = 8;

    /** Says what hangs from what. */
    static final int NINTH = 9;

    private static final Set<String> ATTRIBUTES_SINCE_NINTH = Set.of("RIG");
    private static final Set<String> ATTRIBUTES_SINCE_EIGHTH = Set.of("STREAK", "FEED");
    private static final Set<String> SINCE_SIXTH = Set.of("photographed");
    private static final Set<String> SINCE_FIFTH = Set.of("elsewhere");
    private static final Set<String> ATTRIBUTES_SINCE_FOURTH = Set.of("UNIT", "CONDITION", "CUE");
    private static final Set<String> EFFECTS_SINCE_FOURTH = Set.of("FIRE", "BEACON");
    private static final Set<String> SINCE_THIRD = Set.of("taped", "polar", "alongWall", "onLandmark", "looked");
    private static final Set<String> SINCE_SECOND =
            Set.of("softness", "share", "doors", "allRound", "frontWidthM", "closed", "turned", "confirmedBy");

    private FormatVersion() {}

    /** @param file whose version is not looked at */
    static int of(JsonNode file) {
        for (JsonNode shot : file.path("shots")) {
            if (ties(shot, ATTRIBUTES_SINCE_NINTH)) {
                return NINTH;
            }
        }
        if (file.has("power")) {
            return EIGHTH;
        }
        for (JsonNode shot : file.path("shots")) {
            if (shot.has("plan") || ties(shot, ATTRIBUTES_SINCE_EIGHTH)) {
                return EIGHTH;
            }
        }
        if (file.has("monitor")) {
            return SEVENTH;
        }
        for (JsonNode landmark : file.at("/set/plan/landmarks")) {
            if (landmark.has("heightM")) {
                return SIXTH;
            }
        }
        if (says(file, SINCE_SIXTH)) {
            return SIXTH;
        }
        if (says(file, SINCE_FIFTH)) {
            return FIFTH;
        }
        for (JsonNode shot : file.path("shots")) {
            if (ties(shot, ATTRIBUTES_SINCE_FOURTH)) {
                return FOURTH;
            }
            for (JsonNode knot : shot.path("knots")) {
                JsonNode value = knot.path("value");
                if (value.has("one")
                        || EFFECTS_SINCE_FOURTH.contains(value.path("kind").asText())) {
                    return FOURTH;
                }
            }
        }
        if (says(file, SINCE_THIRD)) {
            return THIRD;
        }
        for (JsonNode piece : file.at("/set/plan/furniture")) {
            if (piece.has("surface")) {
                return SECOND;
            }
        }
        return says(file, SINCE_SECOND) ? SECOND : FIRST;
    }

    private static boolean ties(JsonNode shot, Set<String> attributes) {
        for (JsonNode knot : shot.path("knots")) {
            if (attributes.contains(knot.path("attribute").asText())) {
                return true;
            }
        }
        return false;
    }

    private static boolean says(JsonNode part, Set<String> names) {
        for (String name : names) {
            if (part.has(name)) {
                return true;
            }
        }
        for (JsonNode child : part) {
            if (child.isContainerNode() && says(child, names)) {
                return true;
            }
        }
        return false;
    }
}
