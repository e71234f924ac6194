package org.oblume.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.oblume.core.units.Refusal;

class KitUnitTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 16);

    private static KitUnit tagged(String tag, UnitSpan... spans) {
        return new KitUnit(tag, "Heron 2", "Spot", KitSize.NONE, " ", null, List.of(spans));
    }

    @Test
    void aTagMayBeOfAnyScript() {
        assertThat(tagged(" H-02 ").tag()).isEqualTo("H-02");
        assertThat(tagged("цапля-2").tag()).isEqualTo("цапля-2");
        assertThat(tagged("さぎ2").tag()).isEqualTo("さぎ2");
        assertThat(KitUnit.tagKey("Å1")).isEqualTo(KitUnit.tagKey("å1"));
        for (String wrong : List.of("", "-a", "a/b", "a b", "x".repeat(25), "../u")) {
            assertThatThrownBy(() -> tagged(wrong)).isInstanceOf(Refusal.class).hasMessageContaining("is no tag");
        }
    }

    @Test
    void aUnitIsInOnePlaceADay() {
        UnitSpan hire = new UnitSpan(UnitSpan.State.OUT, DAY, DAY.plusDays(2), "the ferry film");
        assertThatThrownBy(() -> tagged("H", hire, new UnitSpan(UnitSpan.State.REPAIR, DAY.plusDays(2), null, null)))
                .hasMessage(
                        "Heron 2 would be out on hire until 18 Nov, the ferry film and at repair since 18 Nov on one day: end one before the other begins.");
        assertThat(tagged("H", hire, new UnitSpan(UnitSpan.State.REPAIR, DAY.plusDays(3), null, null))
                        .on(DAY.plusDays(9)))
                .hasValueSatisfying(s -> assertThat(s.state()).isEqualTo(UnitSpan.State.REPAIR));
        assertThatThrownBy(() -> new UnitSpan(UnitSpan.State.OUT, DAY, DAY.minusDays(1), null))
                .hasMessage("It would be over on 15 Nov, before it began on 16 Nov.");
    }

    @Test
    void stockIsCountedByWhatMattersOfIt() {
        assertThat(new CountedStock("Half CTO", StockForm.SHEET, KitSize.NONE, 9, null)
                        .phrase()
                        .metric())
                .isEqualTo("Half CTO, sheet, 0.53 × 1.22 m");
        assertThat(new CountedStock("Stand", StockForm.STAND, KitSize.flat(1, 1), 11, null)
                        .phrase()
                        .metric())
                .isEqualTo("Stand");
        assertThat(new CountedStock("Cable", StockForm.CABLE, new KitSize(null, 10.0, 2.5, null), 4, null)
                        .phrase()
                        .metric())
                .isEqualTo("Cable, 10 m of 2.5 mm²");
        assertThatThrownBy(() -> new CountedStock("Half CTO", StockForm.ROLL, KitSize.NONE, 1, null))
                .hasMessage("Half CTO: say how much is left on the roll.");
        assertThatThrownBy(() -> new CountedStock("Stand", StockForm.STAND, KitSize.NONE, -1, null))
                .hasMessage("Stand: there are 0 or more of it.");
    }

    @Test
    void noMoreComesBackThanWentOut() {
        assertThat(new PullCount(7, 6, 0).toTake()).isOne();
        assertThat(new PullCount(3, 4, 2).missing()).isEqualTo(2);
        assertThatThrownBy(() -> new PullCount(3, 2, 3))
                .hasMessage("Only 2 went out: count back 0 to 2, or count out what else was taken.");
        assertThatThrownBy(() -> new PullCount(3, 0, 1)).hasMessageContaining("Nothing of it went out");
    }
}
