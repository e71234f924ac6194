package org.oblume.server.carry;

import java.util.Arrays;
import java.util.List;
import java.util.NoSuchElementException;
import org.jspecify.annotations.Nullable;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Tie;
import org.oblume.core.moves.Side;
import org.oblume.core.units.Refusal;
import org.oblume.server.carry.SavedLook.LookValue;
import org.oblume.server.scene.SceneHeading;
import org.oblume.server.shot.SceneRecord;
import org.oblume.server.shot.SceneRecords;
import org.oblume.server.shot.Shot;
import org.oblume.server.shot.ShotService;
import org.oblume.server.support.JsonText;
import org.springframework.stereotype.Component;

/** The two kinds of state that can be compared: a shot, named {@code shot-12}, and a look, named {@code look-3}. */
@Component
public class Sides {

    private final ShotService shots;
    private final SceneRecords records;
    private final LookRepository looks;
    private final JsonText json;

    Sides(ShotService shots, SceneRecords records, LookRepository looks, JsonText json) {
        this.shots = shots;
        this.records = records;
        this.looks = looks;
        this.json = json;
    }

    /** A side with what it is called. */
    record NamedSide(String id, String name, @Nullable Shot shot, SceneRecord record, Side side) {

        Sidehead head() {
            return new Sidehead(id, name, shot == null ? "saved look" : shot.card().description(), shot == null ? null : shot.id(), record.scene().id(),
                    record.scene().heading());
        }
    }

    /** @param id for asking again. @param shotId null for a look */
    public record Sidehead(String id, String name, String description, @Nullable Long shotId, long sceneId, SceneHeading scene) {
    }

    NamedSide side(String id) {
        if (!id.matches("(shot|look)-\\d{1,18}")) {
            throw new Refusal("“%s” is neither a shot nor a look: choose one from the list.".formatted(id));
        }
        long number = Long.parseLong(id.substring("shot-".length()));
        return id.startsWith("look-") ? look(id, number) : shot(id, number);
    }

    NamedSide shot(long shotId) {
        return shot("shot-" + shotId, shotId);
    }

    private NamedSide shot(String id, long shotId) {
        Shot shot = shots.get(shotId);
        SceneRecord record = records.restingUnder(shot);
        return new NamedSide(id, shot.card().slate(), shot, record, new Side(record.recording(), record.recording().book().resolve(shot.card().slate())));
    }

    private NamedSide look(String id, long lookId) {
        LookEntity look = looks.findById(lookId).orElseThrow(() -> new NoSuchElementException("There is no such look any more."));
        SceneRecord record = records.of(look.sceneId());
        String name = look.toCard().name();
        Tie tie = new Tie(null, null, look.author(), look.at(), 1);
        List<Knot> knots = Arrays.stream(json.read(look.values(), LookValue[].class))
                .map(v -> new Knot(name, v.placement(), json.value(v.attribute(), v.value()), tie)).toList();
        return new NamedSide(id, name, null, record, new Side(record.recording(), ShotState.of(name, knots)));
    }

    String values(Side side) {
        return json.write(side.state().placements().stream().flatMap(key -> side.state().knots(key).stream())
                .map(k -> new LookValue(k.placement(), k.attribute(), json.tree(k.value()))).toList());
    }
}
