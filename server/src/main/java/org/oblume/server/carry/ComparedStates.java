package org.oblume.server.carry;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.LookState;
import org.oblume.core.carry.RecordedState;
import org.oblume.core.moves.ComparedState;
import org.oblume.core.plot.Attribute;
import org.oblume.core.units.Refusal;
import org.oblume.server.carry.SavedLook.LookValue;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.RecordedShot;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.StoredScene;
import org.oblume.server.shot.StoredScenes;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Component;

/** The two kinds of state that can be compared: a shot, named {@code shot-12}, and a look, named {@code look-3}. */
@Component
public class ComparedStates {

    private final StoredScenes records;
    private final LookRepository looks;
    private final RecordJson json;

    ComparedStates(StoredScenes records, LookRepository looks, RecordJson json) {
        this.records = records;
        this.looks = looks;
        this.json = json;
    }

    /** A side with what it is called. */
    record NamedState(String id, @Nullable Shot shot, StoredScene record, ComparedState side) {

        String name() {
            return side.state().name();
        }

        StateHead head() {
            return new StateHead(
                    id,
                    name(),
                    shot == null ? "saved look" : shot.card().description(),
                    shot == null ? null : shot.id(),
                    record.scene().id(),
                    record.scene().heading());
        }
    }

    /**
     * @param id for asking again
     * @param shotId null for a look
     */
    public record StateHead(
            String id, String name, String description, @Nullable Long shotId, long sceneId, SceneHeading scene) {}

    NamedState side(String id) {
        if (!id.matches("(shot|look)-\\d{1,18}")) {
            throw new Refusal("“%s” is neither a shot nor a look: choose one from the list.".formatted(id));
        }
        long number = Long.parseLong(id.substring("shot-".length()));
        return id.startsWith("look-") ? look(id, number) : shot(id, number);
    }

    NamedState shot(long shotId) {
        return shot("shot-" + shotId, shotId);
    }

    private NamedState shot(String id, long shotId) {
        RecordedShot shot = records.shot(shotId);
        return new NamedState(id, shot.shot(), shot.scene(), new ComparedState(shot.record(), shot.state()));
    }

    private NamedState look(String id, long lookId) {
        LookEntity look =
                looks.findById(lookId).orElseThrow(() -> new NotFoundException("There is no such look any more."));
        StoredScene record = records.of(look.sceneId());
        List<Change> values = Arrays.stream(json.read(look.values(), LookValue[].class))
                .map(v -> new Change(v.placement(), json.value(v.attribute(), v.value())))
                .toList();
        return new NamedState(
                id,
                null,
                record,
                new ComparedState(record.record(), new LookState(look.toCard().name(), values)));
    }

    /** All values of a side, as they are kept with a look. */
    String values(ComparedState side) {
        RecordedState state = side.state();
        return json.write(state.placements().stream()
                .flatMap(key -> Arrays.stream(Attribute.values())
                        .flatMap(attribute -> state.value(key, attribute).stream()
                                .map(value -> new LookValue(key, attribute, json.tree(value)))))
                .toList());
    }
}
