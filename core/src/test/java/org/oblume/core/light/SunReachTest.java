package org.oblume.core.light;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
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

    private static SunReach reach(SetPlan set, SpacePoint point) {
        return new SunReach(set, List.of(), BARE, point);
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
        SunReach reach = reach(set, point);
        List<LightSpan> spans = SunSpans.of(45, -10, date, zone, reach::reaches);
        assertThat(spans)
                .isEqualTo(SunSpans.of(45, -10, date, zone, sun -> alone.letsIn(sun, -30, point)))
                .isNotEmpty();
    }

    @Test
    void aClosedRoomHasNoSunAndAnOpenPlaceHasItWhileItIsUp() {
        SunDirection high = new SunDirection(Bearing.ofDegrees(180), 50);
        assertThat(reach(room(), new SpacePoint(3, 2, 1)).reaches(high)).isFalse();
        assertThat(reach(SetPlan.OPEN, new SpacePoint(3, 2, 1)).reaches(high)).isTrue();
        assertThat(reach(SetPlan.OPEN, new SpacePoint(3, 2, 1)).reaches(new SunDirection(Bearing.ofDegrees(180), -1)))
                .isFalse();
    }

    @Test
    void aClosedDoorKeepsItOut() {
        SunDirection low = new SunDirection(Bearing.ofDegrees(180 + 30), 20);
        for (boolean closed : new boolean[] {true, false}) {
            SetPlan set = room(new SetPlan.Opening(
                    "door", SetPlan.OpeningKind.DOOR, PlanPoint.of(2, 0), PlanPoint.of(4, 0), 0, 2.1, closed));
            assertThat(reach(set, new SpacePoint(3, 1, 1)).reaches(low)).isEqualTo(!closed);
        }
    }
}
