package org.oblume.server.support;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.deser.std.StdDeserializer;
import com.fasterxml.jackson.databind.exc.UnrecognizedPropertyException;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;
import org.springframework.boot.jackson.JsonComponent;

/** A wall as an object, or, when no more is known of it, as the list of its points. */
@JsonComponent
class WallJson extends StdDeserializer<Wall> {

    private static final long serialVersionUID = 1;
    private static final Set<String> PARTS = Set.of("points", "heightM", "surface");

    WallJson() {
        super(Wall.class);
    }

    @Override
    public Wall deserialize(JsonParser parser, DeserializationContext context) throws IOException {
        JsonNode wall = context.readTree(parser);
        if (wall.isArray()) {
            return Wall.of(points(wall, context));
        }
        for (String part : (Iterable<String>) wall::fieldNames) {
            if (!PARTS.contains(part)) {
                throw UnrecognizedPropertyException.from(parser, Wall.class, part, List.copyOf(PARTS));
            }
        }
        return new Wall(
                points(wall.path("points"), context),
                part(wall, "heightM", Double.class, context),
                part(wall, "surface", Surface.class, context));
    }

    private static List<PlanPoint> points(JsonNode nodes, DeserializationContext context) throws IOException {
        List<PlanPoint> points = new ArrayList<>();
        for (JsonNode node : nodes) {
            points.add(context.readTreeAsValue(node, PlanPoint.class));
        }
        return points;
    }

    private static <T> @Nullable T part(JsonNode wall, String name, Class<T> type, DeserializationContext context)
            throws IOException {
        return wall.hasNonNull(name) ? context.readTreeAsValue(wall.get(name), type) : null;
    }
}
