package org.oblume.server.inventory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitSize;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.kit.StockForm;
import org.oblume.core.kit.UnitSpan;
import org.oblume.core.units.Refusal;

class KitFileTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 19);

    @Test
    void whatIsWrittenIsReadAgain() {
        KitUnit heron = new KitUnit(
                "H-2",
                "Heron 2",
                "Spot, 300 W",
                KitSize.NONE,
                "=Spots",
                DAY.plusDays(9),
                List.of(
                        new UnitSpan(UnitSpan.State.REPAIR, DAY.minusDays(3), DAY.minusDays(2), "fan \"rattles\""),
                        new UnitSpan(UnitSpan.State.OUT, DAY, null, null)));
        KitUnit muslin =
                new KitUnit("布1", "Muslin 1", "Muslin, bleached", KitSize.flat(2.4, 2.4), null, null, List.of());
        CountedStock cable = new CountedStock("Cable", StockForm.CABLE, new KitSize(null, 10.0, 2.5, null), 4, null);
        List<KitFile.Row> rows = KitFile.read(KitFile.write(List.of(heron, muslin), List.of(cable)));
        assertThat(rows)
                .containsExactly(
                        new KitFile.Row(heron, null), new KitFile.Row(muslin, null), new KitFile.Row(null, cable));
    }

    @Test
    void aSpreadsheetMayWriteSemicolonsAndCommas() {
        KitFile.Row row = KitFile.read("what;form;count;width_m;length_m\nHalf CTO;roll;1;1,22;4,2\n")
                .get(0);
        assertThat(Objects.requireNonNull(row.counted()).size()).isEqualTo(KitSize.flat(1.22, 4.2));
    }

    @Test
    void badTablesAreRefusedInWords() {
        refused("tag,what,what\nA,Spot,Spot\n", "The header has the column “what” twice");
        refused("tag,name\nA,B\n", "The header has no column “what”");
        refused("tag,what,colour\nA,Spot,red\n", "The column “colour” is none of these");
        refused("tag,name,what\nA,Heron,Spot\na,Wren,Spot\n", "Line 3: The tag a stands on Heron and on Wren");
        refused("tag,name,what\nA,Heron,Spot\nB,heron,Spot\n", "Line 3: A and B are both called Heron");
        refused("what,count\nStand,-1\n", "Line 2: Stand: there are 0 or more of it.");
        refused("what,count\nStand,1.5\n", "“1.5” in the column “count” is no whole number");
        refused("what,form,count\nStand,tree,1\n", "“tree” in the column “form” is none of SHEET");
        refused("tag,what,state\nA,Spot,OUT\n", "Line 2: say in the column “from” from which day on");
        refused("tag,what,state,from\nA,Spot,OUT,19.11.26\n", "is no date: write it as 2026-11-19");
        refused("tag,what\n", "The table has no rows");
        refused("tag,what\n\"A,Spot\n", "It is not CSV that can be read");
    }

    private static void refused(String csv, String sentence) {
        assertThatThrownBy(() -> KitFile.read(csv)).isInstanceOf(Refusal.class).hasMessageContaining(sentence);
    }
}
