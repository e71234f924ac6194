package org.oblume.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.oblume.core.plot.Attribute;
import org.oblume.core.plot.AttributeValue;
import org.oblume.core.plot.Level;
import org.oblume.core.plot.SetStatus;

class KeptAsShotTest {

    private static final Attribution TIE = new Attribution(Reason.MATCH, null, "lead", Instant.EPOCH, 1);

    private static ShotNode shot(String slate, String basedOn, ShotStage stage) {
        return new ShotNode(new Slate(slate), basedOn == null ? null : new Slate(basedOn), stage);
    }

    private static Knot knot(String slate, String thing, AttributeValue value) {
        return new Knot(new Slate(slate), thing, value, TIE);
    }

    private static Level percent(int percent) {
        return Level.parse(percent + " %");
    }

    @Test
    void aLevelThatWasChangedBelowAShotIsTiedThereAsItWasShot() {
        CarryBook there = CarryBook.of(
                List.of(shot("4A", null, ShotStage.LIT), shot("4F", "4A", ShotStage.SHOT)),
                List.of(knot("4A", "key", percent(60))));
        CarryBook merged = CarryBook.of(
                List.of(shot("4A", null, ShotStage.LIT), shot("4F", "4A", ShotStage.SHOT)),
                List.of(knot("4A", "key", percent(45))));

        KeptAsShot kept = KeptAsShot.of(there, merged, TIE);

        assertThat(kept.knots()).containsExactly(knot("4F", "key", percent(60)));
        assertThat(kept.unsaid()).isEmpty();
    }

    @Test
    void aLightThatWasNotThereWhenItWasShotIsStruckInThatShot() {
        CarryBook there = CarryBook.of(
                List.of(shot("4A", null, ShotStage.LIT), shot("4F", "4A", ShotStage.SHOT)),
                List.of(knot("4A", "key", percent(60))));
        CarryBook merged = there.with(List.of(knot("4A", "kicker", SetStatus.ON), knot("4A", "kicker", percent(20))));

        assertThat(KeptAsShot.of(there, merged, TIE).knots()).containsExactly(knot("4F", "kicker", SetStatus.STRUCK));
    }

    @Test
    void whatWasNotRecordedOfAThingIsToldAndNotInvented() {
        CarryBook there = CarryBook.of(
                List.of(shot("4A", null, ShotStage.LIT), shot("4F", "4A", ShotStage.SHOT)),
                List.of(knot("4A", "key", SetStatus.ON)));

        KeptAsShot kept = KeptAsShot.of(there, there.with(List.of(knot("4A", "key", percent(30)))), TIE);

        assertThat(kept.knots()).isEmpty();
        assertThat(kept.unsaid()).containsExactly(knot("4F", "key", percent(30)));
    }

    @Test
    void aShotThatIsOnlyPlannedCarriesTheChange() {
        CarryBook there = CarryBook.of(
                List.of(shot("4A", null, ShotStage.LIT), shot("4D", "4A", ShotStage.PLANNED)),
                List.of(knot("4A", "key", percent(60))));

        assertThat(KeptAsShot.of(there, there.with(List.of(knot("4A", "key", percent(45)))), TIE)
                        .knots())
                .isEmpty();
    }

    /** Whatever is changed in shots that are open: what was shot resolves as before, and nothing is tied twice. */
    @Test
    void whatWasShotResolvesAsItWasShotWhateverIsChangedBelowIt() {
        Random random = new Random(30);
        for (int round = 0; round < 300; round++) {
            List<ShotNode> shots = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                String base = i == 0 || random.nextInt(4) == 0 ? null : "" + (1 + random.nextInt(i));
                shots.add(shot("" + (i + 1), base, random.nextBoolean() ? ShotStage.SHOT : ShotStage.LIT));
            }
            List<Knot> tied = IntStream.range(0, 12)
                    .mapToObj(i -> knot("" + (1 + random.nextInt(8)), "thing" + random.nextInt(3), percent(i)))
                    .toList();
            CarryBook side = CarryBook.of(shots, List.of()).with(tied);
            List<Knot> changed = IntStream.range(0, 6)
                    .mapToObj(i -> knot("" + (1 + random.nextInt(8)), "thing" + random.nextInt(3), percent(50 + i)))
                    .filter(k -> side.node(k.slate()).stage() != ShotStage.SHOT)
                    .toList();

            KeptAsShot kept = KeptAsShot.of(side, side.with(changed), TIE);
            CarryBook after = side.with(changed).with(kept.knots());

            for (ShotNode shot : shots) {
                if (shot.stage() == ShotStage.SHOT) {
                    ShotState then = side.resolve(shot.slate());
                    then.placements().forEach(thing -> assertThat(
                                    after.resolve(shot.slate()).value(thing, Attribute.LEVEL))
                            .isEqualTo(then.value(thing, Attribute.LEVEL)));
                }
            }
            assertThat(KeptAsShot.of(side, after, TIE).knots()).isEmpty();
        }
    }
}
