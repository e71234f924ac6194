package org.oblume.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.PlanFit;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.light.ShotLighting;
import org.oblume.core.light.Stage;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Wall;

class AsBuiltTest {

    private final Stage stage = Stage.blackRoom()
            .head("key", Role.KEY, 2, 2, 1.8)
            .tie("key", new Place(2, 2, false))
            .tie("mark", new Place(0, 0, false));

    @Test
    void aTurnOfThePlaceLeavesTheLightOnTheMarkAsItWas() {
        AsBuilt turned = built(SetPlan.room(20, 20, 8), new PlanFit(false, 130, 10, 10, List.of()));
        assertThat(turned.misfits()).isEmpty();
        assertThat(lux(turned)).isCloseTo(lux(built(stage.set(), PlanFit.NONE)), within(lux(turned) * 0.2));
        Place key = turned.state().value("key", Place.class).orElseThrow();
        Place mark = turned.state().value("mark", Place.class).orElseThrow();
        assertThat(key.point().distanceM(mark.point())).isCloseTo(Math.sqrt(8), within(1e-9));
    }

    @Test
    void aSmallerRoomSaysWhatDoesNotFitAndHowFarBackItCanGo() {
        AsBuilt narrow = built(SetPlan.room(3, 3, 8), new PlanFit(false, 0, 1.5, 1.5, List.of()));
        assertThat(narrow.misfits()).singleElement().satisfies(m -> {
            assertThat(m.placement()).isEqualTo("key");
            assertThat(m.words().metric())
                    .contains("0.71 m outside the walls")
                    .contains("throw of 1.91 m, recorded 2.83 m")
                    .contains("1.1 stop over");
        });
    }

    @Test
    void aLowCeilingIsTold() {
        AsBuilt low = built(SetPlan.room(20, 20, 1.9), new PlanFit(false, 0, 10, 10, List.of()));
        assertThat(low.misfits())
                .singleElement()
                .satisfies(m -> assertThat(m.words().metric()).contains("does not go under this ceiling of 1.90 m"));
    }

    @Test
    void whatIsNotAsRecordedTakesThePlaceOfTheRecord() {
        Deviation dimmed = new Deviation("key", null, List.of(new Level(50), new Height(2.2)), "the stand is short");
        AsBuilt built = AsBuilt.of(stage.recording(), stage.state(), stage.set(), PlanFit.NONE, List.of(dimmed));
        assertThat(built.state().value("key", Level.class)).contains(new Level(50));
        assertThat(built.state().value("key", Height.class)).contains(new Height(2.2));
        assertThat(stage.state().value("key", Level.class)).contains(new Level(100));
    }

    @Test
    void aMarkBehindAWallIsTold() {
        SetPlan room = SetPlan.room(20, 20, 8);
        SetPlan divided = new SetPlan(
                8.0,
                0,
                List.of(room.walls().get(0), Wall.of(List.of(PlanPoint.of(11, 0), PlanPoint.of(11, 20)))),
                List.of(),
                List.of(),
                List.of());
        assertThat(built(divided, new PlanFit(false, 0, 10, 10, List.of())).misfits())
                .singleElement()
                .satisfies(m -> assertThat(m.words().metric()).isEqualTo("A wall stands between key and Repairer."));
    }

    private AsBuilt built(SetPlan set, PlanFit fit) {
        return AsBuilt.of(stage.recording(), stage.state(), set, fit, List.of());
    }

    private static double lux(AsBuilt built) {
        return ShotLighting.of(built.scene().set(), built.scene().placements(), built.state(), Set.of(), Map.of())
                .facingLux("key", "mark");
    }

    @Test
    void aHeadThatIsAimedAlongABearingTurnsWithThePlaceAndKeepsItsTilt() {
        stage.tie("key", AimSetting.along(220, -20));
        AimSetting turned = built(SetPlan.room(20, 20, 8), new PlanFit(false, 90, 10, 10, List.of()))
                .state()
                .value("key", AimSetting.class)
                .orElseThrow();
        assertThat(turned.bearingDeg()).isCloseTo(310, within(1e-9));
        assertThat(turned.tiltDeg()).isEqualTo(-20);
        AimSetting mirrored = built(SetPlan.room(20, 20, 8), new PlanFit(true, 0, 10, 10, List.of()))
                .state()
                .value("key", AimSetting.class)
                .orElseThrow();
        assertThat(mirrored.bearingDeg()).isCloseTo(140, within(1e-9));
    }

    @Test
    void aHeadThatIsAimedAtAMarkStaysAimedAtIt() {
        AimSetting aim = built(SetPlan.room(20, 20, 8), new PlanFit(true, 200, 10, 10, List.of()))
                .state()
                .value("key", AimSetting.class)
                .orElseThrow();
        assertThat(aim.mark()).isEqualTo("mark");
    }

    @Test
    void whatLightsThroughAWindowFromOutsideIsToldWhenItWouldStandInside() {
        stage.tie("key", new Place(2, 2, true));
        assertThat(built(SetPlan.room(20, 20, 8), new PlanFit(false, 0, 10, 10, List.of()))
                        .misfits())
                .singleElement()
                .satisfies(m -> assertThat(m.words().metric())
                        .isEqualTo("key is recorded outside and would stand inside the walls here."));
    }

    @Test
    void aCameraWhoseViewIsWalledOffIsToldAsACamera() {
        Stage filmed = Stage.blackRoom()
                .tie("mark", new Place(0, 0, false))
                .camera(0, 3)
                .tie("camera", new Place(0, 3, false));
        SetPlan room = SetPlan.room(20, 20, 8);
        SetPlan divided = new SetPlan(
                8.0,
                0,
                List.of(room.walls().get(0), Wall.of(List.of(PlanPoint.of(0, 11), PlanPoint.of(20, 11)))),
                List.of(),
                List.of(),
                List.of());
        AsBuilt there = AsBuilt.of(
                filmed.recording(), filmed.state(), divided, new PlanFit(false, 0, 10, 10, List.of()), List.of());
        assertThat(there.misfits()).singleElement().satisfies(m -> assertThat(
                        m.words().metric())
                .isEqualTo("A wall stands in the camera’s view of Repairer."));
    }

    @Test
    void aCeilingThatIsJustHighEnoughIsFine() {
        assertThat(built(SetPlan.room(20, 20, 1.96), new PlanFit(false, 0, 10, 10, List.of()))
                        .misfits())
                .isEmpty();
        assertThat(built(SetPlan.room(20, 20, 1.94), new PlanFit(false, 0, 10, 10, List.of()))
                        .misfits())
                .hasSize(1);
    }

    @Test
    void outdoorsNothingIsTooHighOrOutside() {
        SetPlan field = new SetPlan(null, 0, List.of(), List.of(), List.of(), List.of());
        assertThat(built(field, new PlanFit(false, 33, 100, 100, List.of())).misfits())
                .isEmpty();
    }

    @Test
    void theRoomThatIsLeftForAHeadKeepsItsHalfWidthFromTheWall() {
        AsBuilt narrow = built(SetPlan.room(3, 3, 8), new PlanFit(false, 0, 1.5, 1.5, List.of()));
        double room = Double.parseDouble(
                narrow.misfits().get(0).words().metric().replaceAll(".*throw of ([\\d.]+) m.*", "$1"));
        assertThat(1.5 + room / Math.sqrt(2)).isCloseTo(3 - 0.15, within(0.01));
        assertThat(narrow.misfits().get(0).words().imperial()).contains("′");
    }

    private static SetPlan roomWith(List<SetPlan.Opening> openings, List<SetPlan.Furniture> furniture) {
        SetPlan room = SetPlan.room(4, 4, 8);
        return new SetPlan(8.0, 0, room.walls(), openings, furniture, List.of());
    }

    private static SetPlan.Opening window(double from, double to) {
        return new SetPlan.Opening(
                "tall window", SetPlan.OpeningKind.WINDOW, PlanPoint.of(from, 4), PlanPoint.of(to, 4), 0.5, 2.5);
    }

    /** Key two metres up and to the right of the mark, outside a room of four metres about it. */
    private String lightThrough(SetPlan.Opening... openings) {
        stage.tie("key", new Place(3, 3, true));
        return said(built(roomWith(List.of(openings), List.of()), new PlanFit(false, 0, 2, 1.5, List.of())));
    }

    private static String said(AsBuilt built) {
        return built.misfits().stream().map(m -> m.words().metric()).collect(Collectors.joining(" "));
    }

    @Test
    void aLightFromOutsideNeedsAnOpeningOfTheOtherPlace() {
        assertThat(lightThrough()).contains("no window or open door of this place lies between them");
        assertThat(lightThrough(window(0.5, 1))).contains("no window or open door");
        assertThat(lightThrough(window(3, 4))).contains("no window");
        assertThat(said(built(
                        roomWith(
                                List.of(new SetPlan.Opening(
                                        "side window",
                                        SetPlan.OpeningKind.WINDOW,
                                        PlanPoint.of(4, 3),
                                        PlanPoint.of(4, 4),
                                        0.5,
                                        2.5)),
                                List.of()),
                        new PlanFit(false, 0, 2, 1.5, List.of()))))
                .isEmpty();
    }

    @Test
    void furnitureOfTheOtherPlaceIsInTheWay() {
        SetPlan.Furniture cupboard = new SetPlan.Furniture(
                "cupboard",
                List.of(
                        PlanPoint.of(10.8, 10.8),
                        PlanPoint.of(11.2, 10.8),
                        PlanPoint.of(11.2, 11.2),
                        PlanPoint.of(10.8, 11.2)),
                2.2);
        SetPlan.Furniture bench = new SetPlan.Furniture("bench", cupboard.outline(), 0.5);
        SetPlan.Furniture table = new SetPlan.Furniture(
                "table",
                List.of(
                        PlanPoint.of(11.5, 11.5),
                        PlanPoint.of(12.5, 11.5),
                        PlanPoint.of(12.5, 12.5),
                        PlanPoint.of(11.5, 12.5)),
                0.7);
        assertThat(inTheWay(cupboard)).isEqualTo("Cupboard of this place stands between key and Repairer.");
        assertThat(inTheWay(bench)).as("the light passes over it").isEmpty();
        assertThat(inTheWay(table)).isEqualTo("key would stand where this place has its table.");
    }

    private String inTheWay(SetPlan.Furniture furniture) {
        SetPlan room = SetPlan.room(20, 20, 8);
        return said(built(
                new SetPlan(8.0, 0, room.walls(), List.of(), List.of(furniture), List.of()),
                new PlanFit(false, 0, 10, 10, List.of())));
    }

    @Test
    void inItsOwnPlaceNothingIsAskedOfItsFurniture() {
        assertThat(built(stage.set(), PlanFit.NONE).elsewhere()).isFalse();
        assertThat(built(SetPlan.room(20, 20, 8), PlanFit.NONE).elsewhere()).isTrue();
    }
}
