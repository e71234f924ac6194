package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Change;
import org.oblume.core.carry.SceneRecord;
import org.oblume.core.carry.Slate;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;

class TrialTest {

    private final Stage stage =
            Stage.outdoors().camera(0, -4).head("key", Role.KEY, 0, 2.9, 1.5).tie("key", new Level(70));
    private final SceneRecord scene = stage.recording();

    @Test
    void aTriedChangeIsSeenAndNotKept() {
        Trial trial = trial(List.of(new Change("key", new Level(35))), List.of());
        assertThat(trial.light().facingLux("key", "mark"))
                .isCloseTo(stage.light().facingLux("key", "mark") / 2, within(1e-9));
        assertThat(scene.book().resolve(new Slate("1A")).value("key", Level.class))
                .contains(new Level(70));
    }

    @Test
    void aHeldMoveBringsItsLevelAlong() {
        Trial trial = trial(List.of(new Change("key", new Place(0, 1.7, true))), List.of("key"));
        assertThat(trial.changes())
                .containsExactly(new Change("key", new Place(0, 1.7, true)), new Change("key", new Level(24.5)));
        assertThat(trial.held()).singleElement().satisfies(h -> assertThat(h.distanceToM())
                .isCloseTo(1.7, within(1e-9)));
        assertThat(trial.light().facingLux("key", "mark") / stage.light().facingLux("key", "mark"))
                .isCloseTo(1, within(0.005));
    }

    @Test
    void theLastWordAboutAValueCounts() {
        Trial trial = trial(List.of(new Change("key", new Level(10)), new Change("key", new Level(20))), List.of());
        assertThat(trial.changes()).containsExactly(new Change("key", new Level(20)));
    }

    @Test
    void whatCouldNotBeKeptCannotBeTriedEither() {
        assertThatThrownBy(() -> trial(List.of(new Change("key", new ColourTemperature(1800))), List.of()))
                .hasMessageContaining("2700");
    }

    @Test
    void aSourceTakenOutIsOutInTheAnswerOnly() {
        Trial trial = Trial.of(scene, new Slate("1A"), List.of(), List.of(), Set.of("key"), Map.of());
        assertThat(trial.light().lights()).isEmpty();
        assertThat(trial.state().value("key", Level.class)).isPresent();
    }

    private Trial trial(List<Change> changes, List<String> holds) {
        return Trial.of(scene, new Slate("1A"), changes, holds, Set.of(), Map.of());
    }
}
