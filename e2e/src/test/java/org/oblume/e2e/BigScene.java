package org.oblume.e2e;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Random;

/** Makes scene files: one of 120 placements, 60 shots in one chain, and 1,500 knots; and those of a feature. */
final class BigScene {

    static final int SHOTS = 60;
    static final int PLACEMENTS = 120;
    static final int KNOTS = 1500;

    /** A light that the last shot carries from the ones before. */
    static final String A_HEAD = "p7";

    private static final int MARKS = 5;
    private static final double WIDTH_M = 24;
    private static final double DEPTH_M = 16;

    private static final Size LONG_NIGHT = new Size("Long night", 90, SHOTS, PLACEMENTS, KNOTS);

    private final Random random;
    private final JsonNodeFactory json = JsonNodeFactory.instance;
    private final Size size;
    private int knots;

    /** How large. */
    private record Size(String production, int scene, int shots, int placements, int knots) {}

    private BigScene(Size size) {
        this.size = size;
        this.random = new Random(4L + size.scene());
    }

    static String file() {
        return new BigScene(LONG_NIGHT).make().toString();
    }

    /** A scene of a feature: 8 shots, 25 things, 334 knots. In 150 of them 50,000 things were recorded. */
    static String ofAFeature(int scene) {
        return new BigScene(new Size("Feature", scene, 8, 25, 334)).make().toString();
    }

    private ObjectNode make() {
        ObjectNode file = json.objectNode().put("format", "oblume-scene").put("version", 1);
        file.putObject("production").put("name", size.production()).put("days", 60);
        file.putObject("scene")
                .put("number", Integer.toString(size.scene()))
                .put("heading", "INT. HALL, NIGHT")
                .put("location", "Hall")
                .put("buildOrder", "AMBIENCE_FIRST");
        ObjectNode plan =
                file.putObject("set").put("name", "Hall").putObject("plan").put("northDeg", 0);
        ArrayNode wall = plan.putArray("walls").addArray();
        double[][] corners = {{0, 0}, {WIDTH_M, 0}, {WIDTH_M, DEPTH_M}, {0, DEPTH_M}, {0, 0}};
        ArrayNode landmarks = json.arrayNode();
        for (int i = 0; i < corners.length; i++) {
            wall.addObject().put("xM", corners[i][0]).put("yM", corners[i][1]);
            landmarks
                    .addObject()
                    .put("name", "post " + i)
                    .putObject("point")
                    .put("xM", 0.5 + 5.5 * i)
                    .put("yM", 1 + i % 3 * 6);
        }
        plan.putArray("openings");
        plan.putArray("furniture");
        plan.set("landmarks", landmarks);
        ArrayNode placements = file.putArray("placements");
        ArrayNode shots = file.putArray("shots");
        ObjectNode first = shot(shots, 0);
        ArrayNode tied = first.putArray("knots");
        for (int i = 0; i < size.placements(); i++) {
            place(placements, tied, i);
        }
        for (int s = 1; s < size.shots(); s++) {
            ArrayNode changes = shot(shots, s).put("basedOn", "S" + (s - 1)).putArray("knots");
            int upTo = size.knots() - (size.knots() - knots) * (size.shots() - 1 - s) / (size.shots() - s);
            for (int i = MARKS + 1 + s; knots < upTo; i++) {
                knot(
                                changes,
                                "p" + (MARKS + 1 + (i - MARKS - 1) % (size.placements() - MARKS - 1)),
                                "LEVEL",
                                "percent",
                                random.nextInt(1000) / 10.0)
                        .put("reason", "MATCH");
            }
        }
        return file;
    }

    private ObjectNode shot(ArrayNode shots, int number) {
        return shots.addObject()
                .put("slate", "S" + number)
                .put("description", "Shot " + number)
                .put("day", 1 + (size.scene() + number / 4) % 60)
                .put("stage", "PLANNED");
    }

    private void place(ArrayNode placements, ArrayNode tied, int i) {
        boolean camera = i == MARKS;
        boolean mark = i < MARKS;
        String key = "p" + i;
        ObjectNode placement = placements
                .addObject()
                .put("key", key)
                .put("name", "Placement " + i)
                .put("kind", mark ? "MARK" : camera ? "CAMERA" : "HEAD")
                .put("role", mark ? "SUBJECT" : camera ? "CAMERA" : "FILL");
        placement
                .putObject("piece")
                .put("what", "Bicolour LED spot 300 W")
                .put("widthM", camera ? 0.0249 : 0.3)
                .put("watts", 320)
                .put("mount", "STAND");
        knot(tied, key, "STANDING", "state", "ON");
        ObjectNode place = value(tied, key, "PLACE");
        place.put("xM", 0.5 + random.nextDouble() * (WIDTH_M - 1))
                .put("yM", 0.5 + random.nextDouble() * (DEPTH_M - 1))
                .put("outside", false);
        knot(tied, key, "HEIGHT", "heightM", 1 + random.nextInt(20) / 10.0);
        ObjectNode aim = value(tied, key, "AIM");
        if (mark) {
            aim.put("bearingDeg", random.nextInt(360)).put("tiltDeg", 0);
        } else {
            aim.put("mark", "p" + random.nextInt(MARKS)).put("heightM", 1.4);
        }
        if (camera) {
            knot(tied, key, "LENS", "focalLengthMm", 32.0);
            value(tied, key, "WHITE").put("kelvin", 4300).put("duv", 0);
        } else if (!mark) {
            knot(tied, key, "LEVEL", "percent", 70.0);
            knot(tied, key, "CCT", "kelvin", 3000.0 + random.nextInt(3000));
            knot(tied, key, "TINT", "duv", 0.0);
            knot(tied, key, "BEAM", "beamDeg", 40.0);
            ObjectNode modifier =
                    value(tied, key, "MODIFIERS").putArray("items").addObject();
            modifier.put("name", "Quarter CTO")
                    .put("stops", 0.3)
                    .put("miredShift", 42)
                    .put("duvShift", 0)
                    .put("softens", false);
            value(tied, key, "PATCH")
                    .put("universe", 1 + i / 50)
                    .put("address", 1 + i % 50 * 10)
                    .put("slots", 8);
        }
    }

    private ObjectNode knot(ArrayNode knotsOfShot, String key, String attribute, String part, Object value) {
        value(knotsOfShot, key, attribute).set(part, new ObjectMapper().valueToTree(value));
        return (ObjectNode) knotsOfShot.get(knotsOfShot.size() - 1);
    }

    private ObjectNode value(ArrayNode knotsOfShot, String key, String attribute) {
        knots++;
        ObjectNode knot = knotsOfShot
                .addObject()
                .put("placement", key)
                .put("attribute", attribute)
                .put("author", "generator")
                .put("at", "2026-11-16T18:00:00Z");
        return knot.putObject("value");
    }
}
