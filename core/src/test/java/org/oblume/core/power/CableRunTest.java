package org.oblume.core.power;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.Feed;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Wall;

/** Where cables lie in a room of 7.2 × 5.4 m with a door in its far wall; lengths by hand. */
class CableRunTest {

    private static final List<Wall> ROOM = List.of(Wall.of(List.of(
            PlanPoint.of(0, 0),
            PlanPoint.of(7.2, 0),
            PlanPoint.of(7.2, 5.4),
            PlanPoint.of(0, 5.4),
            PlanPoint.of(0, 0))));

    private static SetPlan room(List<Wall> walls, PlanPoint sockets) {
        return new SetPlan(
                2.9,
                0,
                walls,
                List.of(new SetPlan.Opening(
                        "door", SetPlan.OpeningKind.DOOR, PlanPoint.of(5.9, 5.4), PlanPoint.of(6.8, 5.4), 0, 2.05)),
                List.of(),
                List.of(new Landmark("sockets", sockets)),
                null,
                null,
                null,
                null,
                null);
    }

    private static List<CableRun> runs(
            List<Wall> walls, PlanPoint sockets, PlanPoint light, @Nullable Double cableM, @Nullable PlanPoint camera) {
        Stage stage = Stage.outdoors().head("key", Role.KEY, light.xM(), light.yM(), 2);
        stage.tie("key", new Feed(Feed.From.CIRCUIT, "B1", null, cableM, cableM == null ? null : 2.5));
        if (camera != null) {
            stage.camera(camera.xM(), camera.yM());
        }
        PowerPlan plan = new PowerPlan(
                List.of(new PowerPlan.PowerSource("House", PowerPlan.SourceKind.HOUSE, 230, 1, null)),
                List.of(new PowerPlan.FedCircuit("B1", "House", 16, null, "", null, null, "sockets")),
                List.of());
        return CableRun.of(plan, room(walls, sockets), stage.placements(), stage.state());
    }

    private static CableRun run(List<Wall> walls, PlanPoint sockets, PlanPoint light) {
        return runs(walls, sockets, light, null, null).get(0);
    }

    @Test
    void aCableLiesAlongTheWallAndThenStraight() {
        CableRun run = run(ROOM, PlanPoint.of(7.2, 0), PlanPoint.of(5.5, 1));
        assertThat(run.path()).containsExactly(PlanPoint.of(7.2, 0), PlanPoint.of(5.5, 0), PlanPoint.of(5.5, 1));
        assertThat(run.lengthM()).isCloseTo(2.7, within(1e-9));
        assertThat(run.crosses()).isEmpty();
    }

    /** From the far wall to the right one, through the corner: 3.8 + 0.4 + 0.2 m, across the door. */
    @Test
    void aCableThatPassesADoorSaysSo() {
        CableRun run = run(ROOM, PlanPoint.of(3.4, 5.4), PlanPoint.of(7.0, 5.0));
        assertThat(run.lengthM()).isCloseTo(4.4, within(1e-9));
        assertThat(run.crosses()).containsExactly("the door");
        assertThat(run(ROOM, PlanPoint.of(3.4, 5.4), PlanPoint.of(5.8, 5.3)).crosses())
                .isEmpty();
    }

    /** The room was drawn from its near left corner on: past that corner it goes as well as past the others. */
    @Test
    void theWayRoundMayPassTheCornerThatTheRoomWasDrawnFrom() {
        assertThat(run(ROOM, PlanPoint.of(0, 1), PlanPoint.of(1, 0.1)).path())
                .containsExactly(PlanPoint.of(0, 1), PlanPoint.of(0, 0), PlanPoint.of(1, 0), PlanPoint.of(1, 0.1));
        assertThat(run(ROOM, PlanPoint.of(1, 0), PlanPoint.of(0.1, 1)).path())
                .containsExactly(PlanPoint.of(1, 0), PlanPoint.of(0, 0), PlanPoint.of(0, 1), PlanPoint.of(0.1, 1));
    }

    /** 3 m along the wall's other side would be 15 m: straight, 1.41 m, and so it is where there is no wall. */
    @Test
    void whereTheWallIsFarRoundTheCableLiesStraight() {
        List<Wall> far = List.of(Wall.of(List.of(PlanPoint.of(-9, 0), PlanPoint.of(-9, 9))));
        assertThat(run(far, PlanPoint.of(1, 1), PlanPoint.of(2, 2)).lengthM()).isCloseTo(Math.sqrt(2), within(1e-9));
        assertThat(run(List.of(), PlanPoint.of(1, 1), PlanPoint.of(2, 2)).path())
                .hasSize(2);
    }

    /** The stage's person stands at 0, 0 and the camera at 0, −4. */
    @Test
    void aCableBetweenTheCameraAndAPersonSaysSo() {
        CableRun run = runs(List.of(), PlanPoint.of(-2, -2), PlanPoint.of(2, -2), null, PlanPoint.of(0, -4))
                .get(0);
        assertThat(run.crosses()).hasSize(1).allMatch(c -> c.startsWith("between the camera and "));
    }

    @Test
    void aCableThatIsTooShortIsSeen() {
        assertThat(runs(ROOM, PlanPoint.of(7.2, 0), PlanPoint.of(5.5, 1), 2.5, null)
                        .get(0)
                        .isShort())
                .isTrue();
        assertThat(runs(ROOM, PlanPoint.of(7.2, 0), PlanPoint.of(5.5, 1), 2.8, null)
                        .get(0)
                        .isShort())
                .isFalse();
    }
}
