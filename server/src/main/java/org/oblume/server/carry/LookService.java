package org.oblume.server.carry;

import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;
import org.oblume.server.scene.Scene;
import org.oblume.server.support.EditConflict;
import org.oblume.server.support.NotFoundException;
import org.oblume.server.support.RecordJson;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Named states of a scene. */
@Service
@Transactional
public class LookService {

    private static final int LONGEST_NAME = 60;
    private final LookRepository looks;
    private final ComparedStates sides;
    private final RecordJson json;
    private final Clock clock;

    LookService(LookRepository looks, ComparedStates sides, RecordJson json, Clock clock) {
        this.looks = looks;
        this.sides = sides;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<BoardView.LookCard> cards(long sceneId) {
        return looks.findBySceneIdOrderById(sceneId).stream()
                .map(LookEntity::toCard)
                .toList();
    }

    BoardView.LookCard save(String name, long shotId, String author) {
        ComparedStates.NamedState side = sides.shot(shotId);
        Scene scene = side.record().scene();
        if (scene.closedAt() != null) {
            throw new Refusal("Sc. %s is closed: it takes no new look. A lead opens it again."
                    .formatted(scene.heading().number()));
        }
        long sceneId = scene.id();
        String checked = Checks.text("The look's name", name, LONGEST_NAME);
        if (looks.existsBySceneIdAndNameIgnoreCase(sceneId, checked)) {
            throw new Refusal(
                    "name", "The scene has a look called %s already: choose another name.".formatted(checked));
        }
        return looks.saveAndFlush(new LookEntity(sceneId, checked, sides.values(side.side()), author, clock.instant()))
                .toCard();
    }

    void delete(long id, long version) {
        LookEntity look =
                looks.findById(id).orElseThrow(() -> new NotFoundException("There is no such look any more."));
        if (look.toCard().version() != version) {
            throw new EditConflict("Someone changed this look since you opened it.", look.toCard());
        }
        looks.delete(look);
    }

    /** The looks of a scene with all that they hold, for a file. */
    @Transactional(readOnly = true)
    public List<SavedLook> saved(long sceneId) {
        return looks.findBySceneIdOrderById(sceneId).stream()
                .map(look -> new SavedLook(
                        look.toCard().name(),
                        look.author(),
                        look.at(),
                        Arrays.asList(json.read(look.values(), SavedLook.LookValue[].class))))
                .toList();
    }

    /** Keeps looks from a file, whose values were checked with their scene. */
    public void importAll(long sceneId, List<SavedLook> saved) {
        saved.forEach(look -> looks.save(new LookEntity(
                sceneId,
                Checks.text("The look's name", look.name(), LONGEST_NAME),
                json.write(look.values()),
                look.author(),
                look.at())));
        looks.flush();
    }
}
