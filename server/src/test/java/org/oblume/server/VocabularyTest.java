package org.oblume.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Reason;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.day.LightNeed;
import org.oblume.core.exposure.ShippedCurve;
import org.oblume.core.filter.StockKind;
import org.oblume.core.moves.Department;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.Condition;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.server.team.TeamRole;

/**
 * What things are called, on screen as in sentences and on paper, is said once: here it is written down for the interface, which is built
 * before the server. {@code ./oblume contract} writes it anew.
 */
class VocabularyTest {

    private static final Path KEPT = Path.of("../web/vocabulary.json");
    private static final ObjectMapper MAPPER = new ObjectMapper().enable(SerializationFeature.INDENT_OUTPUT);

    private static <E extends Enum<E>> void put(
            ObjectNode all, String name, Class<E> words, Function<E, String> label) {
        ObjectNode node = all.putObject(name);
        for (E word : words.getEnumConstants()) {
            node.put(word.name(), label.apply(word));
        }
    }

    private static ObjectNode now() {
        ObjectNode all = MAPPER.createObjectNode();
        put(all, "attributes", Attribute.class, Attribute::label);
        put(all, "roles", Role.class, Role::label);
        put(all, "controlPaths", ControlPath.class, ControlPath::label);
        put(all, "departments", Department.class, Department::label);
        put(all, "lightNeeds", LightNeed.class, LightNeed::label);
        put(all, "signalCurves", ShippedCurve.class, ShippedCurve::label);
        put(all, "levelCurves", LevelCurve.class, LevelCurve::label);
        put(all, "stockKinds", StockKind.class, StockKind::label);
        put(all, "conditions", Condition.Sort.class, Condition.Sort::label);
        put(all, "conditionsAsk", Condition.Sort.class, Condition.Sort::asks);
        put(all, "effects", Effect.Kind.class, Effect.Kind::label);
        put(all, "stages", ShotStage.class, ShotStage::label);
        put(all, "reasons", Reason.class, Reason::label);
        put(all, "reasonsMean", Reason.class, Reason::means);
        put(all, "teamRoles", TeamRole.class, TeamRole::label);
        put(all, "teamRolesDo", TeamRole.class, TeamRole::does);
        ObjectNode records = all.putObject("records");
        for (PlacementKind kind : PlacementKind.values()) {
            ArrayNode own = records.putArray(kind.name());
            Arrays.stream(Attribute.values()).filter(kind::records).forEach(a -> own.add(a.name()));
        }
        all.put("kindNotSaid", Piece.KIND_NOT_SAID);
        return all;
    }

    @Test
    void theInterfaceCallsThingsAsCoreDoes() throws IOException {
        if (Boolean.getBoolean("oblume.openapi.write")) {
            Files.writeString(KEPT, MAPPER.writeValueAsString(now()) + "\n");
        }
        assertThat(MAPPER.readTree(KEPT.toFile()))
                .as("web/vocabulary.json is stale; see this test's docs")
                .isEqualTo(now());
    }
}
