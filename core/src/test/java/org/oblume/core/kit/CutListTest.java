package org.oblume.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.oblume.core.Cases;
import org.oblume.core.units.Refusal;

class CutListTest {

    @TestFactory
    Stream<DynamicTest> howManySheetsAreCut() {
        return Cases.answered("cut", c -> {
            List<CutList.Wanted> pieces = new ArrayList<>();
            c.request()
                    .get("pieces")
                    .forEach(p -> pieces.add(new CutList.Wanted(
                            p.get("name").asText(),
                            p.get("widthM").asDouble(),
                            p.get("heightM").asDouble(),
                            p.get("count").asInt())));
            CutList.Sheet sheet = c.request().has("sheet")
                    ? new CutList.Sheet(
                            c.request().at("/sheet/widthM").asDouble(),
                            c.request().at("/sheet/heightM").asDouble())
                    : CutList.SHEET;
            for (CutList.CutPiece piece : CutList.of(sheet, pieces, c.number("marginM", CutList.DEFAULT_MARGIN_M))
                    .pieces()) {
                assertThat(piece.perSheet())
                        .isEqualTo(c.answer().get("perSheet").get(piece.name()).asInt());
                assertThat(piece.sheets())
                        .isEqualTo(c.answer().get("sheets").get(piece.name()).asInt());
            }
        });
    }

    /** Counted one by one along both ways of the sheet. */
    @Test
    void noMoreLieOnASheetThanHaveRoom() {
        Random any = new Random(5);
        for (int i = 0; i < 300; i++) {
            double w = 0.05 + 0.4 * any.nextDouble();
            double h = 0.05 + 0.4 * any.nextDouble();
            int upright = fit(0.53, w) * fit(1.22, h);
            int turned = fit(0.53, h) * fit(1.22, w);
            CutList.CutPiece cut = CutList.of(
                            CutList.SHEET, List.of(new CutList.Wanted("front", w, h, 11)), CutList.DEFAULT_MARGIN_M)
                    .pieces()
                    .get(0);
            assertThat(cut.perSheet()).isEqualTo(Math.max(upright, turned));
            assertThat(cut.leftOver()).isCloseTo(1 - 11 * w * h / (cut.sheets() * 0.53 * 1.22), within(1e-9));
            assertThat(cut.turned()).isEqualTo(turned > upright);
            assertThat(cut.sheets() * cut.perSheet()).isBetween(11, 10 + cut.perSheet());
        }
    }

    private static int fit(double sheet, double piece) {
        int count = 0;
        while ((count + 1) * (piece + CutList.DEFAULT_MARGIN_M) <= sheet) {
            count++;
        }
        return Math.max(count, piece <= sheet ? 1 : 0);
    }

    @Test
    void whatDoesNotFitIsRefusedInWords() {
        assertThatThrownBy(() -> CutList.of(CutList.SHEET, List.of(new CutList.Wanted("Gannet", 0.6, 0.6, 1)), 0.04))
                .isInstanceOf(Refusal.class)
                .hasMessage("Gannet is larger than a sheet either way round: join it from pieces, or take a roll.");
    }
}
