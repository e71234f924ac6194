package org.oblume.core.rigging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.oblume.core.Cases;
import org.oblume.core.units.Refusal;

class RiggingTest {

    private static StandInWind stand(Cases c) {
        return StandInWind.of(
                new StandInWind.Standing(
                        c.number("headKg"),
                        c.number("offsetM", 0),
                        c.number("standKg"),
                        c.number("footRadiusM", StandInWind.DEFAULT_FOOT_RADIUS_M),
                        c.number("heightM"),
                        c.number("sailM2"),
                        StandInWind.Shape.valueOf(c.text("shape"))),
                c.number("windMs", StandInWind.INDOORS_MS),
                c.number("bagKg", StandInWind.DEFAULT_BAG_KG),
                c.number("factor", StandInWind.DEFAULT_FACTOR));
    }

    @TestFactory
    Stream<DynamicTest> howManyBagsHoldAStand() {
        return Cases.answered("stand", c -> {
            StandInWind found = stand(c);
            c.assertAnswer("overturningNm", found.overturningNm());
            c.assertAnswer("rightingNm", found.rightingNm());
            c.assertAnswer("bags", found.bags());
        });
    }

    private static StandInWind.Standing frame(double heightM, double sailM2) {
        return new StandInWind.Standing(
                4, 0, 7, StandInWind.DEFAULT_FOOT_RADIUS_M, heightM, sailM2, StandInWind.Shape.CLOTH);
    }

    /** With its bags a stand resists the factor of what tips it, with one bag fewer it does not; twice the wind tips it fourfold. */
    @Test
    void theBagsAreJustEnough() {
        for (double wind = 1; wind < 8; wind += 0.37) {
            StandInWind found = StandInWind.of(frame(2.6, 1.2), wind, 7, 1.5);
            double bag = 7 * 9.80665 * StandInWind.DEFAULT_FOOT_RADIUS_M / 2;
            assertThat(found.rightingNm() + found.bags() * bag).isGreaterThanOrEqualTo(1.5 * found.overturningNm());
            if (found.bags() > 1) {
                assertThat(found.rightingNm() + (found.bags() - 1) * bag).isLessThan(1.5 * found.overturningNm());
            }
            double twice = StandInWind.of(frame(2.6, 0.3), 2 * wind, 7, 1.5).overturningNm();
            assertThat(twice / StandInWind.of(frame(2.6, 0.3), wind, 7, 1.5).overturningNm())
                    .isBetween(3.999, 4.001);
        }
    }

    @Test
    void whatNoStandHoldsIsRefusedByWhatTipsIt() {
        assertThatThrownBy(() -> StandInWind.of(frame(4, 5.8), 10, 7, 1.5))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("sailM2"));
        StandInWind.Standing onAnArm = new StandInWind.Standing(30, 2, 7, 0.45, 2, 0.1, StandInWind.Shape.HEAD);
        assertThatThrownBy(() -> StandInWind.of(onAnArm, 1, 7, 1.5))
                .isInstanceOfSatisfying(
                        Refusal.class, r -> assertThat(r.field()).isEqualTo("offsetM"));
    }

    @TestFactory
    Stream<DynamicTest> whatAFlatClothPullsWith() {
        return Cases.answered("cloth", c -> {
            FlatCloth found =
                    FlatCloth.of(c.number("spanM"), c.number("edgeM"), c.number("weightKgM2"), c.number("sagM"), (int)
                            c.number("points"));
            c.assertAnswer("pullNm", found.pullNm());
            c.assertAnswer("perPointN", found.perPointN());
            c.assertAnswer("ownStands", found.ownStands());
        });
    }

    /** The points of both edges together carry the whole weight of the cloth. */
    @Test
    void thePointsCarryTheClothsWeight() {
        double span = 4;
        double sag = 0.3;
        FlatCloth cloth = FlatCloth.of(span, 2.5, 0.2, sag, 5);
        double steep = 4 * sag / span;
        double down = cloth.perPointN() * steep / Math.sqrt(1 + steep * steep);
        assertThat(2 * 5 * down).isBetween(0.2 * 9.80665 * span * 2.5 - 1e-9, 0.2 * 9.80665 * span * 2.5 + 1e-9);
        assertThatThrownBy(() -> FlatCloth.of(4, 2, 0.2, 1.1, 4)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> FlatCloth.of(4, 2, 0.2, 0.2, 1)).isInstanceOf(Refusal.class);
    }
}
