package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.carry.LookState;
import org.oblume.core.day.LightSpan;
import org.oblume.core.day.SunSpans;
import org.oblume.core.day.UprightOpening;
import org.oblume.core.geometry.PlanPoint;
import org.oblume.core.geometry.SpacePoint;
import org.oblume.core.geometry.SunDirection;
import org.oblume.core.plot.SetPlan;
import org.oblume.core.units.Bearing;

/** When the sun reaches a point of a set. */
class SunReachTest {

    private static final LookState BARE = new LookState("nothing", List.of());

    private static SetPlan room(SetPlan.Opening... openings) {
        SetPlan bare = SetPlan.room(6, 4, 2.8);
        return new SetPlan(2.8, -30, bare.walls(), List.of(openings), List.of(), List.of());
    }

    private static Predicate<SunDirection> reach(SetPlan set, SpacePoint point) {
        SunReach reach = new SunReach(set, List.of(), BARE);
        return sun -> reach.reaches(sun, point);
    }

    /** The room's one window, by the rule for an opening alone. */
    @ParameterizedTest
    @CsvSource({"3, 1, 1.2", "2.5, 1.2, 0.9", "4.4, 0.6, 1.6"})
    void throughOneWindowItComesWhenItComesThroughThatOpening(double x, double y, double z) {
        SetPlan set = room(new SetPlan.Opening(
                "window", SetPlan.OpeningKind.WINDOW, PlanPoint.of(2, 0), PlanPoint.of(4, 0), 0.9, 2.3));
        SpacePoint point = new SpacePoint(x, y, z);
        UprightOpening alone = new UprightOpening(PlanPoint.of(2, 0), PlanPoint.of(4, 0), 0.9, 2.3);
        LocalDate date = LocalDate.parse("2026-03-12");
        ZoneId zone = ZoneId.of("Etc/UTC");
        Predicate<SunDirection> reach = reach(set, point);
        List<LightSpan> spans = new SunSpans(45, -10, date, zone).of(reach);
        assertThat(spans)
                .isEqualTo(new SunSpans(45, -10, date, zone).of(sun -> alone.letsIn(sun, -30, point)))
                .isNotEmpty();
    }

    @Test
    void aClosedRoomHasNoSunAndAnOpenPlaceHasItWhileItIsUp() {
        SunDirection high = new SunDirection(Bearing.ofDegrees(180), 50);
        assertThat(reach(room(), new SpacePoint(3, 2, 1)).test(high)).isFalse();
        assertThat(reach(SetPlan.OPEN, new SpacePoint(3, 2, 1)).test(high)).isTrue();
        assertThat(reach(SetPlan.OPEN, new SpacePoint(3, 2, 1)).test(new SunDirection(Bearing.ofDegrees(180), -1)))
                .isFalse();
    }

    @Test
    void aClosedDoorKeepsItOut() {
        SunDirection low = new SunDirection(Bearing.ofDegrees(180 + 30), 20);
        for (boolean closed : new boolean[] {true, false}) {
            SetPlan set = room(new SetPlan.Opening(
                    "door", SetPlan.OpeningKind.DOOR, PlanPoint.of(2, 0), PlanPoint.of(4, 0), 0, 2.1, closed));
            assertThat(reach(set, new SpacePoint(3, 1, 1)).test(low)).isEqualTo(!closed);
        }
    }

    /** A window whose light falls on the floor whole: as much of it as the window has, by the sun's height. */
    @Test
    void onTheFloorItLiesAsLargeAsTheWindowLetsItThrough() {
        SetPlan set = room(new SetPlan.Opening(
                "window", SetPlan.OpeningKind.WINDOW, PlanPoint.of(2, 0), PlanPoint.of(4, 0), 0.9, 2.3));
        SunDirection square = new SunDirection(Bearing.ofDegrees(180 + 30), 45);
        double apart = 0.05;
        List<SunReach.Lit> lies = new SunReach(set, List.of(), BARE).lies(square, apart);
        double area = lies.stream()
                .mapToDouble(l -> l.from().distanceM(l.to()) * apart)
                .sum();
        assertThat(area).isCloseTo(2 * 1.4, within(0.1));
        assertThat(lies)
                .allMatch(l ->
                        l.heightM() == 0 && l.from().yM() >= 0.9 && l.from().yM() <= 2.3);
        assertThat(new SunReach(set, List.of(), BARE).lies(new SunDirection(Bearing.ofDegrees(0), -2), apart))
                .isEmpty();
    }

    /** A table under the window catches it where it stands. */
    @Test
    void itLiesOnWhatStandsInTheRoom() {
        SetPlan bare = room(new SetPlan.Opening(
                "window", SetPlan.OpeningKind.WINDOW, PlanPoint.of(2, 0), PlanPoint.of(4, 0), 0.9, 2.3));
        SetPlan.Furniture table = new SetPlan.Furniture(
                "table",
                List.of(PlanPoint.of(2, 0.3), PlanPoint.of(4, 0.3), PlanPoint.of(4, 1.3), PlanPoint.of(2, 1.3)),
                0.7);
        SetPlan set = new SetPlan(2.8, -30, bare.walls(), bare.openings(), List.of(table), List.of());
        SunDirection square = new SunDirection(Bearing.ofDegrees(180 + 30), 45);
        assertThat(new SunReach(set, List.of(), BARE).lies(square, 0.1))
                .anyMatch(l -> l.heightM() == 0.7 && l.from().yM() < 1.3)
                .noneMatch(l -> l.heightM() == 0 && l.from().yM() < 1.3);
    }

    @Test
    void wallsAndMarksAreToldWhenItComesAndByWhichOpening() {
        SetPlan set = room(
                new SetPlan.Opening(
                        "left pane", SetPlan.OpeningKind.WINDOW, PlanPoint.of(0.5, 0), PlanPoint.of(1.3, 0), 0.9, 2.3),
                new SetPlan.Opening(
                        "right pane",
                        SetPlan.OpeningKind.WINDOW,
                        PlanPoint.of(4.4, 0),
                        PlanPoint.of(5.2, 0),
                        0.9,
                        2.3));
        LocalDate date = LocalDate.parse("2026-03-12");
        ZoneId zone = ZoneId.of("Etc/UTC");
        List<SunTargets.Target> targets = SunTargets.of(set, List.of(), BARE, new SunSpans(45, -10, date, zone));
        assertThat(targets)
                .isNotEmpty()
                .allMatch(t -> t.mark() == null && !t.name().equals("wall 1"));
        assertThat(targets.stream().flatMap(t -> t.comes().stream()).map(SunTargets.Comes::by))
                .contains("left pane", "right pane");
        for (SunTargets.Target target : targets) {
            for (int i = 1; i < target.comes().size(); i++) {
                assertThat(target.comes().get(i).span().from())
                        .isGreaterThan(target.comes().get(i - 1).span().to());
            }
        }
    }
}
