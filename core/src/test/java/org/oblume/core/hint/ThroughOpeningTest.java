package org.oblume.core.hint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;

/** A lamp outside the north window, 2 m wide, its sill at 1 m and its head at 2.2 m; the face at (0, 0) looks north. */
class ThroughOpeningTest {

    private static Stage outside(double x, double z) {
        return Stage.blackRoom(new SetPlan.Opening(
                        "Window", SetPlan.OpeningKind.WINDOW, PlanPoint.of(-1, 5), PlanPoint.of(1, 5), 1, 2.2))
                .camera(0, 4)
                .head("key", Role.KEY, x, 10, z)
                .tie("key", new Place(x, 10, true));
    }

    private static List<Hint> hints(Stage stage) {
        return Found.by(new ThroughOpening(), stage);
    }

    @Test
    void whatComesThroughIsNoHint() {
        assertThat(hints(outside(0, 1.6))).isEmpty();
    }

    /** The line from (3, 10) to the face is 1.5 m right of the middle at the window: half a metre beyond its edge. */
    @Test
    void aBeamThatMissesSaysByHowMuchAndWhichWayToMove() {
        Hint miss = hints(outside(3, 1.5)).get(0);
        assertThat(miss.kind()).isEqualTo(HintKind.THROUGH_OPENING);
        assertThat(miss.urgent()).isTrue();
        assertThat(miss.title().metric()).isEqualTo("key misses Window by 50 cm");
        // 0.5 m and half of the front's 0.15 m at the window, twice as far at the lamp
        assertThat(miss.reason().metric()).contains("moves 1.15 m to the west");
        assertThat(hints(outside(3 - 1.16, 1.5))).isEmpty();
    }

    /** From 4 m high the way crosses the window's plane at 2.75 m: over its head. */
    @Test
    void tooHighALampIsToldToComeDown() {
        Hint miss = hints(outside(0, 4)).get(0);
        assertThat(miss.title().metric()).isEqualTo("key misses Window by 55 cm");
        assertThat(miss.reason().metric()).contains("1.25 m down");
        assertThat(hints(outside(0, 4).tie("key", new Height(2.7)))).isEmpty();
    }

    /** At the edge half of the front is hidden. */
    @Test
    void aBeamAtTheEdgeIsCut() {
        Hint cut = hints(outside(2, 1.5)).get(0);
        assertThat(cut.urgent()).isFalse();
        assertThat(cut.title().metric()).isEqualTo("key is cut by the edge of Window");
        assertThat(cut.reason().metric()).contains("moves 15 cm to the west");
    }

    @Test
    void aLampInTheRoomNeedsNoOpening() {
        assertThat(hints(outside(3, 1.5).tie("key", new Place(3, 4, false)))).isEmpty();
    }
}
