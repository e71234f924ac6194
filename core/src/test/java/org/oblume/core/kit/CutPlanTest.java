package org.oblume.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.oblume.core.kit.CutPlan.Cut;
import org.oblume.core.kit.CutPlan.Wanted;

class CutPlanTest {

    private static CountedStock sheets(int count) {
        return new CountedStock("Half CTO", StockForm.SHEET, KitSize.NONE, count, null);
    }

    private static CountedStock roll(double metres) {
        return new CountedStock("Half CTO", StockForm.ROLL, new KitSize(null, metres, null, null), 1, null);
    }

    private static CountedStock cloth(double wide, double high, int count) {
        return new CountedStock("Half silk", StockForm.CLOTH, KitSize.flat(wide, high), count, null);
    }

    private static CutPlan plan(double wide, double high, int count, CountedStock... there) {
        return CutPlan.of(List.of(new Wanted(KitSize.flat(wide, high), count)), List.of(there));
    }

    /** A front of 0.3 m: one column and three rows of a sheet; twelve pieces want four sheets, of three there are nine. */
    @Test
    void twelvePiecesOfACutThatGivesNine() {
        Cut cut = plan(0.3, 0.3, 12, sheets(3)).pieces().get(0);
        assertThat(cut).isEqualTo(new Cut(KitSize.flat(0.3, 0.3), 12, 0, 9, 0, 0, 3));
        assertThat(plan(0.3, 0.3, 12, sheets(3)).sheets()).isEqualTo(3);
    }

    /** A front of 0.3 m leaves a strip of 0.19 m beside it: two tubes' sleeves of 0.15 × 0.5 m come off that, and no second sheet. */
    @Test
    void smallerPiecesComeOffWhatIsLeftOfTheSheet() {
        CutPlan plan = CutPlan.of(
                List.of(new Wanted(KitSize.flat(0.3, 0.3), 3), new Wanted(KitSize.flat(0.15, 0.5), 2)),
                List.of(sheets(9)));
        assertThat(plan.sheets()).isOne();
        assertThat(plan.pieces()).extracting(Cut::fromSheets).containsExactly(3, 2);
        assertThat(plan.leftOver()).isCloseTo(1 - (3 * 0.09 + 2 * 0.075) / (0.53 * 1.22), within(1e-9));
    }

    /** What sheets do not give is cut from the roll: three columns of 0.34 m across 1.22, so one row for three pieces. */
    @Test
    void theRestComesOffTheRoll() {
        CutPlan plan = plan(0.3, 0.3, 12, sheets(3), roll(2));
        assertThat(plan.pieces().get(0).fromRoll()).isEqualTo(3);
        assertThat(plan.rollM()).isCloseTo(0.34, within(1e-9));
        assertThat(plan.leftOver()).isCloseTo(1 - 12 * 0.09 / (3 * 0.53 * 1.22 + 0.34 * 1.22), within(1e-9));
        assertThat(plan.toBuyRollM()).isZero();
    }

    @Test
    void nobodyHangsALargeClothForAClip() {
        assertThat(plan(0.3, 0.3, 1, cloth(2.4, 2.4, 3)).pieces().get(0).missing())
                .isOne();
    }

    @Test
    void whatIsWiderThanTheRollIsJoinedAndSaidSo() {
        Cut cut = plan(2.4, 2.4, 1, roll(10)).pieces().get(0);
        assertThat(cut.joined()).isOne();
        assertThat(plan(2.4, 2.4, 1, roll(10)).rollM()).isCloseTo(3 * 2.44, within(1e-9));
        assertThat(plan(2.4, 2.4, 1, roll(4)).pieces().get(0).missing()).isOne();
    }

    @Test
    void aClothOfItsSizeIsTakenBeforeARollIsCutAndALargerOneAfter() {
        assertThat(plan(1.2, 1.2, 1, roll(5), cloth(1.22, 1.2, 1))
                        .pieces()
                        .get(0)
                        .cloths())
                .isOne();
        assertThat(plan(1.2, 1.2, 1, roll(5), cloth(2.4, 2.4, 1))
                        .pieces()
                        .get(0)
                        .fromRoll())
                .isOne();
        assertThat(plan(2.4, 1.2, 1, roll(0.5), cloth(6, 6, 1), cloth(2.4, 2.4, 1))
                        .pieces()
                        .get(0)
                        .cloths())
                .isOne();
    }

    /** No piece more than the area allows, all of them accounted for, and with more stock never more missing. */
    @Test
    void nothingIsCutTwice() {
        Random any = new Random(3);
        for (int round = 0; round < 300; round++) {
            List<Wanted> wanted = new ArrayList<>();
            for (int i = 0; i < 1 + any.nextInt(4); i++) {
                wanted.add(new Wanted(
                        KitSize.flat(0.1 + 1.5 * any.nextDouble(), 0.1 + 1.5 * any.nextDouble()), 1 + any.nextInt(6)));
            }
            int sheets = any.nextInt(8);
            double metres = 0.1 + 5 * any.nextDouble();
            CutPlan plan = CutPlan.of(wanted, List.of(sheets(sheets), roll(metres)));
            assertThat(plan.sheets()).isLessThanOrEqualTo(sheets);
            assertThat(plan.rollM()).isLessThanOrEqualTo(metres + 1e-9);
            assertThat(plan.leftOver()).isBetween(-1e-9, 1.0);
            for (int i = 0; i < wanted.size(); i++) {
                Cut cut = plan.pieces().get(i);
                assertThat(cut.cloths() + cut.fromSheets() + cut.fromRoll() + cut.missing())
                        .isEqualTo(wanted.get(i).count());
            }
            assertThat(missing(CutPlan.of(wanted, List.of(sheets(sheets), roll(metres), roll(9)))))
                    .isLessThanOrEqualTo(missing(plan));
        }
    }

    private static int missing(CutPlan plan) {
        return plan.pieces().stream().mapToInt(Cut::missing).sum();
    }
}
