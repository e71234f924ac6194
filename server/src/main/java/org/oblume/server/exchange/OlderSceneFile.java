package org.oblume.server.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;

/**
 * Scene files of earlier versions, told in the words of this one: what was read out of names before is a value of its own today. A file
 * of this version is left as it is.
 */
final class OlderSceneFile {

    private static final double WARM_UP_S = 45;

    private OlderSceneFile() {}

    /** Changes the file in place; whatever is not as the format has it is left to the schema. */
    static void upgrade(JsonNode file) {
        for (JsonNode placement : file.path("placements")) {
            if (placement.path("piece") instanceof ObjectNode piece) {
                upgrade(placement.path("kind").asText(), piece);
            }
        }
    }

    private static void upgrade(String kind, ObjectNode piece) {
        String what = piece.path("what").asText();
        if (what.contains("HMI")) {
            piece.put("what", what.replace("HMI", "Discharge"));
        }
        if (kind.equals("MARK") && what.toLowerCase(Locale.ROOT).contains("glasses") && !piece.has("glasses")) {
            piece.put("glasses", true);
        }
        if (piece.path("lamp").path("upkeep") instanceof ObjectNode upkeep
                && upkeep.path("noise").asText().startsWith("ballast")
                && !upkeep.has("warmUpS")) {
            upkeep.put("warmUpS", WARM_UP_S);
        }
    }
}
