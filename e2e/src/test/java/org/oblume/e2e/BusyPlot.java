package org.oblume.e2e;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.UncheckedIOException;

/** Makes a scene file of one shot with many heads, 8 walls, 10 pieces of grip and 5 marks. */
final class BusyPlot {

    static final int MARKS = 5;
    static final int GRIP = 10;
    private static final String LAMP =
            """
            {"optics":{"spotCandela":51000,"spotBeamDeg":15,"floodCandela":6800,"floodBeamDeg":50},"round":true,"emitterHeightM":0.2,"curve":"LINEAR",
             "lowestPercent":1,"tintReach":0.02,"upkeep":{"idleWatts":9,"weightKg":3.2,"noise":"fan","burn":"ANY","safeDistanceM":0.3,"modes":"","menu":""}}""";
    /** Corners of a hall with a bay, a partition and a passage: 8 walls. */
    private static final double[][][] WALLS = {
        {{0, 0}, {14, 0}, {14, 6}, {18, 6}, {18, 10}, {0, 10}, {0, 0}}, {{7, 10}, {7, 7.2}}, {{4, 0}, {4, 2.2}}
    };

    private final JsonNodeFactory json = JsonNodeFactory.instance;
    private final ObjectMapper mapper = new ObjectMapper();

    static String file(int heads) {
        return new BusyPlot().make(heads).toString();
    }

    private ObjectNode make(int heads) {
        ObjectNode file = json.objectNode().put("format", "oblume-scene").put("version", 1);
        file.putObject("production").put("name", "Long night").put("days", 2);
        file.putObject("scene")
                .put("number", "91")
                .put("heading", "INT. HALL, NIGHT")
                .put("location", "Hall")
                .put("buildOrder", "AMBIENCE_FIRST");
        ObjectNode plan = file.putObject("set")
                .put("name", "Hall")
                .putObject("plan")
                .put("northDeg", 0)
                .put("ceilingHeightM", 3.6);
        ArrayNode walls = plan.putArray("walls");
        for (double[][] wall : WALLS) {
            ArrayNode points = walls.addArray();
            for (double[] corner : wall) {
                points.add(point(corner[0], corner[1]));
            }
        }
        ObjectNode window = plan.putArray("openings")
                .addObject()
                .put("name", "long window")
                .put("kind", "WINDOW")
                .put("sillM", 0.9)
                .put("headM", 2.6);
        window.set("from", point(9, 10));
        window.set("to", point(13, 10));
        plan.putArray("furniture");
        ArrayNode landmarks = plan.putArray("landmarks");
        for (int i = 0; i < 4; i++) {
            landmarks.addObject().put("name", "post " + i).set("point", point(1 + 4 * i, 0.2 + i % 2 * 9));
        }
        ArrayNode placements = file.putArray("placements");
        ObjectNode shot = file.putArray("shots")
                .addObject()
                .put("slate", "91A")
                .put("description", "All of it")
                .put("stage", "PLANNED");
        ArrayNode knots = shot.putArray("knots");
        for (int i = 0; i < MARKS; i++) {
            place(placements, knots, "mark-" + i, "Guest " + (i + 1), "MARK", "SUBJECT", 3 + 2.4 * i, 4 + i % 2, 1.5)
                    .put("widthM", 0.5)
                    .put("mount", "FLOOR");
            knot(knots, "mark-" + i, "AIM").put("bearingDeg", 40 * i).put("tiltDeg", 0);
        }
        place(placements, knots, "camera", "Camera", "CAMERA", "CAMERA", 9, 1, 1.5)
                .put("widthM", 0.0249)
                .put("mount", "STAND");
        aim(knots, "camera", 2);
        knot(knots, "camera", "LENS").put("focalLengthMm", 32);
        knot(knots, "camera", "STOP").put("tStop", 2.8284271247461903);
        knot(knots, "camera", "SPEED").put("iso", 800);
        knot(knots, "camera", "SHUTTER").put("fps", 24).put("angleDeg", 180);
        knot(knots, "camera", "WHITE").put("kelvin", 4300).put("duv", 0);
        for (int i = 0; i < heads; i++) {
            // along the hall in rows, none on another
            String key = "head-" + (i + 1);
            ObjectNode piece = place(
                    placements,
                    knots,
                    key,
                    "Head " + (i + 1),
                    "HEAD",
                    i % 3 == 0 ? "KEY" : i % 3 == 1 ? "FILL" : "EDGE",
                    0.7 + 1.28 * (i % 10),
                    0.8 + 2.1 * (i / 10 % 5) + 0.25 * (i % 2),
                    2.4);
            piece.put("widthM", 0.2)
                    .put("watts", 165)
                    .put("mount", "STAND")
                    .put("lowestKelvin", 2700)
                    .put("highestKelvin", 6500);
            try {
                piece.set("lamp", mapper.readTree(LAMP));
            } catch (IOException impossible) {
                throw new UncheckedIOException(impossible);
            }
            aim(knots, key, i % MARKS);
            knot(knots, key, "LEVEL").put("percent", 20 + i % 80);
            knot(knots, key, "CCT").put("kelvin", 3000 + 60 * (i % 50));
            knot(knots, key, "TINT").put("duv", 0);
            knot(knots, key, "BEAM").put("beamDeg", 40);
            knot(knots, key, "MODIFIERS").putArray("items");
        }
        for (int i = 0; i < GRIP; i++) {
            String key = "grip-" + (i + 1);
            String kind = i % 3 == 0 ? "FLAG" : i % 3 == 1 ? "BOUNCE" : "NET";
            ObjectNode piece = place(
                    placements,
                    knots,
                    key,
                    kind.charAt(0) + kind.substring(1).toLowerCase(java.util.Locale.ROOT) + " " + (i + 1),
                    kind,
                    "NEGATIVE_FILL",
                    1.3 + 1.25 * i,
                    6 + i % 2 * 0.6,
                    1.8);
            piece.put("widthM", 0.9).put("heightM", 0.9).put("watts", 0).put("mount", "STAND");
            piece.putObject("surface")
                    .put("reflectance", kind.equals("BOUNCE") ? 0.85 : 0.03)
                    .put("miredShift", 0)
                    .put("duvShift", 0);
            aim(knots, key, i % MARKS);
        }
        return file;
    }

    /** @return the piece, to be filled in */
    private ObjectNode place(
            ArrayNode placements,
            ArrayNode knots,
            String key,
            String name,
            String kind,
            String role,
            double xM,
            double yM,
            double heightM) {
        ObjectNode placement = placements
                .addObject()
                .put("key", key)
                .put("name", name)
                .put("kind", kind)
                .put("role", role);
        knot(knots, key, "STANDING").put("state", "ON");
        knot(knots, key, "PLACE")
                .put("xM", Math.round(xM * 100) / 100.0)
                .put("yM", Math.round(yM * 100) / 100.0)
                .put("outside", false);
        knot(knots, key, "HEIGHT").put("heightM", heightM);
        return placement.putObject("piece").put("what", "Thing").put("watts", 0);
    }

    private void aim(ArrayNode knots, String key, int mark) {
        knot(knots, key, "AIM").put("mark", "mark-" + mark).put("heightM", 1.5);
    }

    private ObjectNode knot(ArrayNode knots, String key, String attribute) {
        return knots.addObject()
                .put("placement", key)
                .put("attribute", attribute)
                .put("author", "generator")
                .put("at", "2026-11-16T18:00:00Z")
                .putObject("value");
    }

    private ObjectNode point(double xM, double yM) {
        return json.objectNode().put("xM", xM).put("yM", yM);
    }
}
