package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.ColourTemperature;
import org.oblume.core.plot.Height;
import org.oblume.core.plot.HintKind;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Lens;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.OnPurpose;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Restriction;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.Surface;
import org.oblume.core.plot.Wall;

/** The face at (0, 0) looks north; the camera stands north of it and looks south. */
class HintsTest {

    private static Stage stage() {
        return Stage.outdoors().camera(0, 4);
    }

    private static List<Hint> hints(Stage stage) {
        return Hints.of(stage.set(), stage.placements(), stage.light());
    }

    private static List<HintKind> kinds(Stage stage) {
        return hints(stage).stream().map(Hint::kind).toList();
    }

    @Test
    void aStandInTheViewIsInFrameAndSaysTheShortestWayOut() {
        Stage stage = stage().head("edge", Role.EDGE, 1, -1, 2.1).tie("edge", new Level(40));
        Hint hint = hints(stage).stream()
                .filter(h -> h.kind() == HintKind.IN_FRAME)
                .findFirst()
                .orElseThrow();
        assertThat(hint.title())
                .matches("edge is \\d+ cm in frame, left"); // east of the mark is left for a camera that looks south
        assertThat(hint.reason()).matches("Clear: \\d+ cm to the east.");
        assertThat(hint.urgent()).isTrue();
        int clear = Integer.parseInt(hint.reason().replaceAll("\\D", ""));
        stage.tie("edge", new Place(1 + clear / 100.0, -1, true));
        assertThat(kinds(stage)).doesNotContain(HintKind.IN_FRAME);
    }

    @Test
    void aLongerLensLosesTheStandAndAWallHidesIt() {
        Stage stage = stage().head("edge", Role.EDGE, 1, -1, 2.1);
        assertThat(kinds(stage.tie("camera", new Lens(135)))).doesNotContain(HintKind.IN_FRAME);
        stage.tie("camera", new Lens(50))
                .with(new SetPlan(
                        null,
                        0,
                        List.of(Wall.of(List.of(PlanPoint.of(-3, -0.5), PlanPoint.of(3, -0.5)))),
                        List.of(),
                        List.of(),
                        List.of(),
                        null,
                        Surface.grey(0),
                        null,
                        null,
                        null));
        assertThat(kinds(stage)).doesNotContain(HintKind.IN_FRAME);
    }

    @Test
    void whatIsMeantIsStillToldButMarkedSo() {
        Stage stage = stage().head("edge", Role.EDGE, 1, -1, 2.1).tie("edge", new OnPurpose(Set.of(HintKind.IN_FRAME)));
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.IN_FRAME)
                .singleElement()
                .matches(Hint::onPurpose);
    }

    @Test
    void atFullThereIsNoHeadroom() {
        assertThat(kinds(stage().head("key", Role.KEY, 3, 2, 2))).contains(HintKind.NO_HEADROOM);
        assertThat(kinds(stage().head("key", Role.KEY, 3, 2, 2).tie("key", new Level(98))))
                .doesNotContain(HintKind.NO_HEADROOM);
    }

    @Test
    void aLightThatLooksIntoTheLensFromOutsideTheFrameFlares() {
        Stage stage = stage().head("edge", Role.EDGE, 2.6, -2, 2.1).tie("edge", AimSetting.along(325, 0));
        assertThat(kinds(stage)).contains(HintKind.FLARE);
        assertThat(kinds(stage.grip("flag", PlacementKind.FLAG, 1, 1, null, 2.2, -1, 2, 20, 0)))
                .doesNotContain(HintKind.FLARE);
        assertThat(kinds(stage().head("edge", Role.EDGE, 2.6, -2, 2.1).tie("edge", AimSetting.along(180, 0))))
                .doesNotContain(HintKind.FLARE);
    }

    @Test
    void aLightBesideTheCameraShowsInGlasses() {
        Stage stage = stage();
        stage.put(
                new Placement(
                        "reader",
                        "Reader",
                        PlacementKind.MARK,
                        Role.SUBJECT,
                        null,
                        new Piece("Person with glasses", null, 0.5, null, null, 0, Mount.FLOOR)),
                0.5,
                0,
                1.5,
                AimSetting.along(0, 0));
        stage.head("fill", Role.FILL, 1, 4, 1.5);
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.GLASSES)
                .singleElement()
                .matches(h -> h.placement().equals("fill"));
        assertThat(kinds(stage.tie("fill", new Height(3.5)))).doesNotContain(HintKind.GLASSES);
    }

    @Test
    void keyAndFillFromBothSidesCrossTheirNoseShadowsUntilTheFillGoesDown() {
        Stage stage = stage().head("key", Role.KEY, 2, 2.5, 2).head("fill", Role.FILL, -2, 2.5, 2);
        assertThat(kinds(stage)).contains(HintKind.NOSE_SHADOWS);
        assertThat(kinds(stage.tie("fill", new Level(20)))).doesNotContain(HintKind.NOSE_SHADOWS);
    }

    @Test
    void aKickerTooFarForwardReachesTheNose() {
        assertThat(kinds(stage().head("edge", Role.EDGE, 2, -0.3, 2))).contains(HintKind.KICKER_ON_NOSE);
        assertThat(kinds(stage().head("edge", Role.EDGE, 1.5, -2.5, 2))).doesNotContain(HintKind.KICKER_ON_NOSE);
    }

    @Test
    void twoLightsOfDifferentColourOnOneFaceAreMixed() {
        Stage stage = stage().head("key", Role.KEY, 2, 2, 1.8).head("fill", Role.FILL, 0.5, 3, 1.8);
        assertThat(kinds(stage)).doesNotContain(HintKind.MIXED_COLOUR);
        assertThat(hints(stage.tie("fill", new ColourTemperature(5300))))
                .filteredOn(h -> h.kind() == HintKind.MIXED_COLOUR)
                .singleElement()
                .satisfies(h -> assertThat(h.reason()).contains("300 K"));
    }

    @Test
    void clothTooNearAHotLampIsToBeActedOn() {
        Modifier near = new Modifier("Muslin", 2, 0, 0, true, 1.2, 0.3, null);
        Modifier far = new Modifier("Muslin", 2, 0, 0, true, 1.2, 0.8, null);
        assertThat(kinds(stage().head("key", Role.KEY, 2, 2, 2, near))).contains(HintKind.NEAR_CLOTH);
        assertThat(kinds(stage().head("key", Role.KEY, 2, 2, 2, far))).doesNotContain(HintKind.NEAR_CLOTH);
        assertThat(kinds(stage().head("key", Role.KEY, 2, 2, 2)
                        .grip("curtain", PlacementKind.CURTAIN, 2, 2, null, 2, 2.4, 1.5, 0, 0)))
                .contains(HintKind.NEAR_CLOTH);
    }

    @Test
    void aLampThatMayNotPointUpSaysSo() {
        Stage stage = stage();
        Lamp hot = new Lamp(
                Stage.lamp(LevelCurve.TUNGSTEN).optics(),
                true,
                0.1,
                LevelCurve.TUNGSTEN,
                0,
                0,
                new Lamp.Upkeep(0, null, 3, "", Lamp.Burn.NOT_ABOVE_45, 1, "", ""));
        stage.put(
                new Placement(
                        "up",
                        "Up",
                        PlacementKind.HEAD,
                        Role.AMBIENCE,
                        null,
                        new Piece("Tungsten Fresnel", null, 0.15, 3200.0, 3200.0, 650, Mount.FLOOR, null, hot, null)),
                3,
                3,
                0.5,
                AimSetting.along(0, 60));
        assertThat(kinds(stage)).contains(HintKind.BURN_POSITION);
        assertThat(kinds(stage.tie("up", AimSetting.along(0, 40)))).doesNotContain(HintKind.BURN_POSITION);
    }

    @Test
    void aPersonUnderAnOverheadUnit() {
        Stage stage = stage();
        stage.put(
                new Placement(
                        "top",
                        "Top",
                        PlacementKind.HEAD,
                        Role.AMBIENCE,
                        null,
                        new Piece(
                                "Panel",
                                null,
                                0.6,
                                2800.0,
                                6500.0,
                                200,
                                Mount.OVERHEAD,
                                null,
                                Stage.lamp(LevelCurve.LINEAR),
                                null)),
                0.3,
                0.2,
                3,
                AimSetting.along(0, -90));
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.UNDER_A_UNIT)
                .singleElement()
                .satisfies(h -> assertThat(h.reason()).contains("rigger"));
        assertThat(kinds(stage.tie("top", new Place(3, 0, true)))).doesNotContain(HintKind.UNDER_A_UNIT);
    }

    @Test
    void aStandWhereNoneMayStand() {
        Restriction taxiway = new Restriction(
                Restriction.Kind.NO_STANDS,
                "taxiway",
                List.of(PlanPoint.of(2, 2), PlanPoint.of(6, 2), PlanPoint.of(6, 6), PlanPoint.of(2, 6)));
        Stage stage = stage().head("key", Role.KEY, 3, 3, 2)
                .with(new SetPlan(
                        null,
                        0,
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of(),
                        null,
                        Surface.grey(0),
                        List.of(taxiway),
                        null,
                        null));
        assertThat(hints(stage))
                .filteredOn(h -> h.kind() == HintKind.RESTRICTED)
                .singleElement()
                .satisfies(h -> assertThat(h.reason()).contains("taxiway"));
        assertThat(kinds(stage.tie("key", new Place(1, 3, true)))).doesNotContain(HintKind.RESTRICTED);
    }

    @Test
    void aTubeThatCannotBeDimmedIsNotToldToHaveNoHeadroom() {
        Lamp usual = Stage.lamp(LevelCurve.LINEAR);
        Lamp tube = new Lamp(usual.optics(), false, 0.04, LevelCurve.LINEAR, 100, 0, usual.upkeep());
        Stage stage = stage();
        stage.put(
                new Placement(
                        "tube",
                        "Tube",
                        PlacementKind.PRACTICAL,
                        Role.AMBIENCE,
                        null,
                        new Piece("Fluorescent tube", null, 1.2, 4150.0, 4150.0, 40, Mount.OVERHEAD, null, tube, null)),
                3,
                2,
                2.9,
                AimSetting.along(0, -90));
        stage.tie("tube", new Level(100)).tie("tube", new ColourTemperature(4150));
        assertThat(kinds(stage)).doesNotContain(HintKind.NO_HEADROOM);
    }

    @Test
    void anOverheadClothIsOverAPersonToo() {
        Stage stage = stage();
        stage.put(
                new Placement(
                        "silk",
                        "Silk",
                        PlacementKind.FRAME,
                        Role.AMBIENCE,
                        null,
                        new Piece("Overhead cloth", null, 3.6, null, null, 0, Mount.OVERHEAD, 3.6, null, null)),
                1,
                1,
                3,
                AimSetting.along(0, -90));
        assertThat(kinds(stage)).contains(HintKind.UNDER_A_UNIT);
        assertThat(kinds(stage.tie("silk", new Place(6, 1, true)))).doesNotContain(HintKind.UNDER_A_UNIT);
    }

    @Test
    void oneColourOnEachCheekIsMixedAsWell() {
        Stage stage = stage().head("key", Role.KEY, 3, 3, 1.5)
                .head("fill", Role.FILL, -3, 3, 1.5)
                .tie("fill", new Level(40));
        assertThat(kinds(stage)).doesNotContain(HintKind.MIXED_COLOUR);
        assertThat(kinds(stage.tie("fill", new ColourTemperature(5300)))).contains(HintKind.MIXED_COLOUR);
    }

    @Test
    void aFlagOfWhichOnlyTheEdgeCrossesTheFrameLineIsMeasuredAlongItsOwnWidth() {
        Stage across = stage().grip("flag", PlacementKind.FLAG, 2, 0.6, null, 1.9, 0, 1.5, 0, 0);
        Stage along = stage().grip("flag", PlacementKind.FLAG, 2, 0.6, null, 1.9, 0, 1.5, 90, 0);
        assertThat(kinds(across)).contains(HintKind.IN_FRAME);
        assertThat(kinds(along)).doesNotContain(HintKind.IN_FRAME);
    }
}
