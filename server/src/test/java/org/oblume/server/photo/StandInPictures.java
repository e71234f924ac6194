package org.oblume.server.photo;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;

/**
 * Draws the demo's stand-in photographs of the ferry waiting room from its own plan. The key stands 0.45 m from its record and higher, for the check to
 * find. Run it from {@code server} after the plan was changed; the pictures are kept beside the scene.
 */
final class StandInPictures {

    static final double FOCAL_MM = 24;

    /** Place, height and bearing of each camera. */
    static final List<double[]> CAMERAS = List.of(
            new double[] {0.5, 0.6, 1.6, 52}, new double[] {10.4, 0.6, 1.6, 322}, new double[] {10.3, 5.6, 1.7, 256});

    private static final int WIDE = 1600;
    private static final int HIGH = 1200;
    private static final Path DEMO = Path.of("src/main/resources/demo");
    private static final double NEAR_M = 0.1;
    private static final Color WALL = new Color(104, 108, 104);
    private static final Color FLOOR = new Color(64, 58, 52);
    private static final Color CEILING = new Color(74, 76, 78);
    private static final Color WOOD = new Color(98, 72, 50);
    private static final Color DESK = new Color(72, 86, 82);
    private static final Color DUSK = new Color(122, 150, 178);
    private static final Color STAND = new Color(26, 26, 28);
    private static final Color LIT = new Color(255, 246, 222);
    private static final Color COAT = new Color(52, 60, 84);

    private final Graphics2D drawn;
    private final double[] camera;

    private StandInPictures(Graphics2D drawn, double[] camera) {
        this.drawn = drawn;
        this.camera = camera;
    }

    /**
     * Where a level camera sees a point.
     *
     * @return pixels from the left and the top of a picture so wide and high, and how far before the lens it is, metres
     */
    static double[] seen(double[] camera, double[] at, int wide, int high) {
        double turn = Math.toRadians(camera[3]);
        double deep = (at[0] - camera[0]) * Math.sin(turn) + (at[1] - camera[1]) * Math.cos(turn);
        double right = (at[0] - camera[0]) * Math.cos(turn) - (at[1] - camera[1]) * Math.sin(turn);
        double focal = FOCAL_MM / 36 * wide;
        return new double[] {wide / 2.0 + focal * right / deep, high / 2.0 - focal * (at[2] - camera[2]) / deep, deep};
    }

    /** A JPEG whose file says how long its lens was, and nothing else. */
    static byte[] jpeg(BufferedImage image) throws IOException {
        ByteArrayOutputStream plain = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", plain);
        ByteBuffer tiff = ByteBuffer.allocate(44);
        tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        tiff.putShort((short) 1)
                .putShort((short) 0x8769)
                .putShort((short) 4)
                .putInt(1)
                .putInt(26)
                .putInt(0);
        tiff.putShort((short) 1).putShort((short) 0xA405).putShort((short) 3).putInt(1);
        tiff.putShort((short) FOCAL_MM).putShort((short) 0).putInt(0);
        ByteArrayOutputStream with = new ByteArrayOutputStream();
        with.write(plain.toByteArray(), 0, 2);
        with.writeBytes(ByteBuffer.allocate(10 + tiff.capacity())
                .putShort((short) 0xFFE1)
                .putShort((short) (8 + tiff.capacity()))
                .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                .put(tiff.array())
                .array());
        with.write(plain.toByteArray(), 2, plain.size() - 2);
        return with.toByteArray();
    }

    /** Where things stand in truth, by key. */
    static Map<String, double[]> things(JsonNode scene) {
        Map<String, double[]> things = new LinkedHashMap<>();
        for (JsonNode knot : scene.at("/shots/0/knots")) {
            double[] at = things.computeIfAbsent(knot.get("placement").asText(), k -> new double[3]);
            if (knot.get("attribute").asText().equals("PLACE")) {
                at[0] = knot.at("/value/xM").asDouble();
                at[1] = knot.at("/value/yM").asDouble();
            } else if (knot.get("attribute").asText().equals("HEIGHT")) {
                at[2] = knot.at("/value/heightM").asDouble();
            }
        }
        things.values().removeIf(at -> at[2] == 0);
        double[] key = things.get("key");
        key[0] += 0.4;
        key[1] -= 0.2;
        key[2] += 0.2;
        return things;
    }

    public static void main(String[] none) throws IOException {
        JsonNode scene =
                new ObjectMapper().readTree(DEMO.resolve("scene-17.json").toFile());
        Files.createDirectories(DEMO.resolve("photographs"));
        for (int i = 0; i < CAMERAS.size(); i++) {
            BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
            Graphics2D drawn = image.createGraphics();
            drawn.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            new StandInPictures(drawn, CAMERAS.get(i)).draw(scene);
            Files.write(DEMO.resolve("photographs/17A-%d.jpg".formatted(i + 1)), jpeg(image));
        }
    }

    private void draw(JsonNode scene) {
        JsonNode plan = scene.at("/set/plan");
        double top = plan.get("ceilingHeightM").asDouble();
        List<double[]> corners = points(plan.at("/walls/0/points"));
        face(FLOOR, flat(corners, 0));
        for (double plank = 0.5; plank < 7; plank += 0.5) {
            face(FLOOR.darker(), List.of(new double[] {0, plank, 0}, new double[] {11, plank, 0}, new double[] {
                11, plank + 0.01, 0
            }));
        }
        face(CEILING, flat(corners, top));
        for (int i = 0; i + 1 < corners.size(); i++) {
            upright(WALL, corners.get(i), corners.get(i + 1), 0, top);
        }
        for (JsonNode opening : plan.get("openings")) {
            upright(
                    opening.get("kind").asText().equals("WINDOW") ? DUSK : WOOD.darker(),
                    point(opening.get("from")),
                    point(opening.get("to")),
                    opening.get("sillM").asDouble(),
                    opening.get("headM").asDouble());
        }
        Map<Double, Runnable> byDistance = new LinkedHashMap<>();
        for (JsonNode piece : plan.get("furniture")) {
            List<double[]> outline = points(piece.get("outline"));
            double[] middle = {0, 0};
            outline.forEach(p -> {
                middle[0] += p[0] / outline.size();
                middle[1] += p[1] / outline.size();
            });
            byDistance.put(
                    away(middle),
                    () -> box(
                            piece.get("name").asText().contains("desk") ? DESK : WOOD,
                            outline,
                            piece.get("heightM").asDouble()));
        }
        things(scene).forEach((key, at) -> byDistance.put(away(at), () -> thing(key, at, top)));
        byDistance.entrySet().stream()
                .sorted(Map.Entry.<Double, Runnable>comparingByKey(Comparator.reverseOrder()))
                .forEach(e -> e.getValue().run());
    }

    private double away(double[] at) {
        return Math.hypot(at[0] - camera[0], at[1] - camera[1]);
    }

    private void thing(String key, double[] at, double top) {
        double[] head = seen(camera, at, WIDE, HIGH);
        if (head[2] < NEAR_M) {
            return;
        }
        double pixels = FOCAL_MM / 36 * WIDE / head[2];
        double[] end = seen(camera, new double[] {at[0], at[1], at[2] > top - 0.2 ? top : 0}, WIDE, HIGH);
        drawn.setStroke(
                new BasicStroke((float) Math.max(2, 0.03 * pixels), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        drawn.setColor(STAND);
        if (key.equals("mark-1")) {
            drawn.setStroke(new BasicStroke((float) (0.34 * pixels), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            drawn.setColor(COAT);
            drawn.draw(new Line2D.Double(head[0], head[1] + 0.34 * pixels, end[0], end[1]));
            disc(new Color(206, 168, 142), head, 0.11 * pixels);
            return;
        }
        drawn.draw(new Line2D.Double(head[0], head[1], end[0], end[1]));
        if (key.equals("tubes")) {
            List<double[]> tube = new ArrayList<>();
            for (double along : new double[] {-0.6, 0.6}) {
                tube.add(seen(camera, new double[] {at[0] + along, at[1], at[2]}, WIDE, HIGH));
            }
            drawn.setColor(LIT);
            drawn.draw(new Line2D.Double(tube.get(0)[0], tube.get(0)[1], tube.get(1)[0], tube.get(1)[1]));
            disc(LIT, head, 0.05 * pixels);
        } else {
            disc(STAND, head, 0.17 * pixels);
            disc(key.equals("camera") ? STAND.brighter() : LIT, head, 0.13 * pixels);
            disc(STAND, head, 0.015 * pixels);
        }
    }

    private void disc(Color colour, double[] middle, double radius) {
        drawn.setColor(colour);
        drawn.fill(new Ellipse2D.Double(middle[0] - radius, middle[1] - radius, 2 * radius, 2 * radius));
    }

    private void upright(Color colour, double[] from, double[] to, double low, double high) {
        face(
                colour,
                List.of(
                        new double[] {from[0], from[1], low},
                        new double[] {to[0], to[1], low},
                        new double[] {to[0], to[1], high},
                        new double[] {from[0], from[1], high}));
    }

    private void box(Color colour, List<double[]> outline, double high) {
        List<Integer> sides = new ArrayList<>();
        for (int i = 0; i < outline.size(); i++) {
            sides.add(i);
        }
        sides.sort(Comparator.comparingDouble(i -> -away(middle(outline, i))));
        for (int i : sides) {
            upright(colour, outline.get(i), outline.get((i + 1) % outline.size()), 0, high);
        }
        face(colour.brighter(), flat(outline, high));
    }

    private static double[] middle(List<double[]> outline, int side) {
        double[] a = outline.get(side);
        double[] b = outline.get((side + 1) % outline.size());
        return new double[] {(a[0] + b[0]) / 2, (a[1] + b[1]) / 2};
    }

    private void face(Color colour, List<double[]> corners) {
        List<double[]> before = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            double[] a = corners.get(i);
            double[] b = corners.get((i + 1) % corners.size());
            double deepA = seen(camera, a, WIDE, HIGH)[2];
            double deepB = seen(camera, b, WIDE, HIGH)[2];
            if (deepA > NEAR_M) {
                before.add(a);
            }
            if (deepA > NEAR_M != deepB > NEAR_M) {
                double part = (NEAR_M - deepA) / (deepB - deepA);
                before.add(new double[] {
                    a[0] + part * (b[0] - a[0]), a[1] + part * (b[1] - a[1]), a[2] + part * (b[2] - a[2])
                });
            }
        }
        if (before.size() < 3) {
            return;
        }
        Path2D path = new Path2D.Double();
        for (double[] corner : before) {
            double[] at = seen(camera, corner, WIDE, HIGH);
            if (path.getCurrentPoint() == null) {
                path.moveTo(at[0], at[1]);
            } else {
                path.lineTo(at[0], at[1]);
            }
        }
        path.closePath();
        drawn.setColor(colour);
        drawn.fill(path);
        drawn.setColor(colour.darker());
        drawn.setStroke(new BasicStroke(2));
        drawn.draw(path);
    }

    private static List<double[]> flat(List<double[]> outline, double high) {
        return outline.stream().map(p -> new double[] {p[0], p[1], high}).toList();
    }

    private static List<double[]> points(JsonNode points) {
        List<double[]> all = new ArrayList<>();
        points.forEach(p -> all.add(point(p)));
        return all;
    }

    private static double[] point(JsonNode at) {
        return new double[] {at.get("xM").asDouble(), at.get("yM").asDouble()};
    }
}
