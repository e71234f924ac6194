package org.oblume.core.rebuild;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.CarryBook;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotNode;
import org.oblume.core.carry.ShotStage;
import org.oblume.core.carry.Slate;
import org.oblume.core.caution.Caution;
import org.oblume.core.geometry.Landmark;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.plot.AimSetting;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Modifier;
import org.oblume.core.plot.Modifiers;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.plot.SetStatus;

class RebuildSheetTest {

    private static final SetPlan SHOP = SetPlan.room(7.2, 5.4, 2.9);
    private static final List<Placement> PLACED = List.of(
            light("background", Role.BACKGROUND),
            light("edge", Role.EDGE),
            light("negative-fill", Role.NEGATIVE_FILL),
            light("fill", Role.FILL),
            light("key", Role.KEY),
            light("practical", Role.PRACTICAL),
            light("ambience", Role.AMBIENCE),
            placed("camera", PlacementKind.CAMERA, Role.CAMERA, Mount.STAND),
            placed("mark-1", PlacementKind.MARK, Role.SUBJECT, Mount.FLOOR));

    @Test
    void stepsComeInTheOrderInWhichTheSceneIsBuilt() {
        assertThat(order(BuildOrder.AMBIENCE_FIRST))
                .containsExactly(
                        "mark-1",
                        "camera",
                        "ambience",
                        "practical",
                        "key",
                        "fill",
                        "negative-fill",
                        "edge",
                        "background");
        assertThat(order(BuildOrder.WINDOW_FIRST)).startsWith("mark-1", "camera", "background", "ambience");
        assertThat(order(BuildOrder.KEY_FIRST))
                .startsWith("mark-1", "camera", "key", "fill")
                .endsWith("ambience");
    }

    @Test
    void everyRoleHasItsPlaceInEveryOrder() {
        for (BuildOrder order : BuildOrder.values()) {
            assertThat(List.of(Role.values())).extracting(order::rank).doesNotHaveDuplicates();
        }
    }

    @Test
    void whatIsStruckNeedsNoStep() {
        List<Knot> knots = List.of(knot("4A", "key", SetStatus.ON, 0), knot("4A", "edge", SetStatus.STRUCK, 0));
        assertThat(steps(knots)).extracting(s -> s.placement().key()).containsExactly("key");
    }

    @Test
    void aStepHasTheTwoBestTapes() {
        RebuildStep step = steps(List.of(knot("4A", "key", SetStatus.ON, 0), knot("4A", "key", Place.of(3, 2.5), 0)))
                .get(0);
        assertThat(step.tapes()).isNotNull();
        assertThat(step.tapes().point().distanceM(Place.of(3, 2.5).point())).isLessThan(1e-9);
    }

    @Test
    void aStandWithNoLandmarkInSightHasNoTapes() {
        SetPlan indoors = new SetPlan(
                2.9,
                0,
                SHOP.walls(),
                List.of(),
                List.of(),
                List.of(new Landmark("column", PlanPoint.of(2, 2)), new Landmark("bench leg", PlanPoint.of(5, 3))));
        List<Knot> knots = List.of(knot("4A", "key", SetStatus.ON, 0), knot("4A", "key", new Place(3, 8, true), 0));
        RebuildStep step = RebuildSheet.steps(
                        indoors, PLACED, book(knots).resolve(new Slate("4A")), BuildOrder.KEY_FIRST)
                .get(0);
        assertThat(step.tapes()).isNull();
        assertThat(step.cautions()).extracting(Caution::kind).contains(Caution.Kind.OUTSIDE);
    }

    @Test
    void aStepIsAsNewAsTheNewestThingItRestsOn() {
        List<Knot> knots = List.of(
                knot("4A", "key", SetStatus.ON, 100),
                knot("4A", "key", AimSetting.atMark("mark-1", 1.2), 200),
                knot("4A", "mark-1", Place.of(1, 1), 300));
        assertThat(steps(knots).get(0).newestChange()).isEqualTo(Instant.ofEpochSecond(300));
    }

    @Test
    void cautionsStandWhereTheRiskIs() {
        Placement hot = new Placement(
                "edge",
                "Edge",
                PlacementKind.HEAD,
                Role.EDGE,
                null,
                new Piece("Tungsten Fresnel 650 W", null, 0.15, 3200.0, 3200.0, 650, Mount.OVERHEAD));
        Modifiers gel = new Modifiers(List.of(new Modifier("Quarter CTB", 0.5, -35, 0, false, null, null, null)));
        List<Knot> knots = List.of(knot("4A", "edge", SetStatus.ON, 0), knot("4A", "edge", gel, 0));
        List<Caution> cautions = RebuildSheet.steps(
                        SHOP, List.of(hot), book(knots).resolve(new Slate("4A")), BuildOrder.KEY_FIRST)
                .get(0)
                .cautions();
        assertThat(cautions)
                .extracting(Caution::kind)
                .containsExactly(Caution.Kind.OVERHEAD, Caution.Kind.HEAT, Caution.Kind.HEAT);
    }

    private static List<String> order(BuildOrder order) {
        List<Knot> knots =
                PLACED.stream().map(p -> knot("4A", p.key(), SetStatus.ON, 0)).toList();
        return RebuildSheet.steps(SHOP, PLACED, book(knots).resolve(new Slate("4A")), order).stream()
                .map(s -> s.placement().key())
                .toList();
    }

    private static List<RebuildStep> steps(List<Knot> knots) {
        return RebuildSheet.steps(SHOP, PLACED, book(knots).resolve(new Slate("4A")), BuildOrder.AMBIENCE_FIRST);
    }

    private static CarryBook book(List<Knot> knots) {
        return CarryBook.of(List.of(new ShotNode(new Slate("4A"), null, ShotStage.PLANNED)), knots);
    }

    private static Knot knot(String slate, String placement, AttributeValue value, long second) {
        return new Knot(
                new Slate(slate),
                placement,
                value,
                new Attribution(null, null, "gaffer", Instant.ofEpochSecond(second), 1));
    }

    private static Placement light(String key, Role role) {
        return placed(key, PlacementKind.HEAD, role, Mount.STAND);
    }

    private static Placement placed(String key, PlacementKind kind, Role role, Mount mount) {
        return new Placement(key, key, kind, role, null, new Piece("Panel", null, 0.3, null, null, 100, mount));
    }
}
