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

    private static final Set<String> SINCE_THIRD = Set.of("taped", "polar", "alongWall", "onLandmark", "looked");
    private static final Set<String> SINCE_SECOND =
            Set.of("softness", "share", "doors", "allRound", "frontWidthM", "closed", "turned", "confirmedBy");

    private FormatVersion() {}

    /** @param file whose version is not looked at */
    static int of(JsonNode file) {
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
