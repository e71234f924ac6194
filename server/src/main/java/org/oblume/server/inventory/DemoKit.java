package org.oblume.server.inventory;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.KitSize;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.kit.StockForm;
import org.oblume.core.kit.UnitSpan;
import org.oblume.server.production.Production;
import org.oblume.server.production.ProductionService;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The kit of the demo: one unit at repair, two out on hire, one that goes back, two muslins of one size. */
@Component
@Profile("demo")
@Order(Ordered.LOWEST_PRECEDENCE)
class DemoKit implements ApplicationRunner {

    private final ProductionService productions;
    private final InventoryService inventory;
    private long production;

    DemoKit(ProductionService productions, InventoryService inventory) {
        this.productions = productions;
        this.inventory = inventory;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        productions.all().stream()
                .filter(p -> p.name().equals("Saltmarsh Line"))
                .map(Production::id)
                .filter(id -> inventory.of(id).isEmpty())
                .forEach(this::fill);
    }

    private void fill(long id) {
        production = id;
        unit("H1", "Heron 1", "Bicolour LED spot 300 W", "Spots A");
        unit("H2", "Heron 2", "Bicolour LED spot 300 W", "Spots A", away(UnitSpan.State.OUT, 19, 20, null));
        unit("W1", "Wren", "Bicolour LED spot 150 W", "Spots B");
        unit("W2", "Pipit", "Bicolour LED spot 150 W", "Spots B", away(UnitSpan.State.REPAIR, 16, null, "fan rattles"));
        unit("P1", "Plaice", "Bicolour LED panel 200 W", "Panels");
        unit("P2", "Turbot", "Bicolour LED panel 200 W", "Panels");
        unit("D1", "Dab", "Bicolour LED panel 60 W", "Panels");
        unit("D2", "Sprat", "Bicolour LED panel 60 W", "Panels", away(UnitSpan.State.OUT, 17, 19, null));
        for (int i = 1; i <= 4; i++) {
            unit("E" + i, "Eel " + i, "Full-colour LED tube 1.2 m", "Tubes");
        }
        unit("G1", "Gull", "Daylight LED spot 600 W", "Spots C");
        unit("T1", "Tern", "Bicolour LED spot 60 W", "Spots B");
        inventory.add(
                id,
                new KitUnit(
                        "HF-1",
                        "Gannet",
                        "Discharge Fresnel 1.2 kW",
                        KitSize.NONE,
                        "Discharge",
                        november(18),
                        List.of()));
        unit("M1", "Moth", "LED tape 12 W", "Practicals");
        unit("M2", "Moth 2", "LED tape 12 W", "Practicals");
        cloth("C-B1", "Muslin 1", "Muslin, bleached", 1.2);
        cloth("C-U1", "Muslin 2", "Muslin, unbleached", 1.2);
        cloth("C-S1", "Silk 1", "Full silk", 3.6);
        cloth("C-S2", "Silk 2", "Half silk", 3.6);
        counted("Practical bulb 60 W", StockForm.PIECE, KitSize.NONE, 6, "Practicals");
        counted("LED bulb 9 W", StockForm.PIECE, KitSize.NONE, 4, "Practicals");
        counted("Flag 1.2 m", StockForm.PIECE, KitSize.NONE, 3, "Grip");
        counted("Flag 0.6 m", StockForm.PIECE, KitSize.NONE, 2, "Grip");
        counted("Net 0.9 m", StockForm.PIECE, KitSize.NONE, 2, "Grip");
        counted("Black cloth 2.4 m", StockForm.PIECE, KitSize.NONE, 2, "Grip");
        counted("Mirror board 1 m", StockForm.PIECE, KitSize.NONE, 1, "Grip");
        counted("Frame 2.4 m", StockForm.PIECE, KitSize.NONE, 1, "Grip");
        counted("Overhead cloth 3.6 m", StockForm.PIECE, KitSize.NONE, 1, "Grip");
        counted("Stand", StockForm.STAND, KitSize.NONE, 11, null);
        counted("Sandbag", StockForm.SANDBAG, KitSize.NONE, 22, null);
        counted("Safety bond", StockForm.BOND, KitSize.NONE, 6, "Grip");
        counted("Battery 98 Wh", StockForm.BATTERY, new KitSize(null, null, null, 98.0), 6, "Batteries");
        counted("Battery 150 Wh", StockForm.BATTERY, new KitSize(null, null, null, 150.0), 4, "Batteries");
        counted("Battery 75 Wh", StockForm.BATTERY, new KitSize(null, null, null, 75.0), 4, "Batteries");
        counted("Battery 20 Wh", StockForm.BATTERY, new KitSize(null, null, null, 20.0), 2, "Batteries");
        counted("Grid 20°", StockForm.PIECE, KitSize.NONE, 2, "Spots B");
        cable(10, 1.5, 6);
        cable(20, 1.5, 3);
        cable(25, 2.5, 3);
        roll("Quarter CTO", 4.2);
        roll("Light frost", 1.6);
        counted("Half CTO", StockForm.SHEET, KitSize.NONE, 0, "Gels");
        roll("Half CTB", 2.0);
        roll("Eighth CTO", 2.4);
        roll("Kelp", 2.0);
        roll("Full silk", 3.0);
        roll("Muslin, unbleached", 1.5);
        roll("Half plus green", 0.2);
    }

    private void unit(String tag, String name, String what, String packedIn, UnitSpan... spans) {
        inventory.add(production, new KitUnit(tag, name, what, KitSize.NONE, packedIn, null, List.of(spans)));
    }

    private void cloth(String tag, String name, String what, double sideM) {
        inventory.add(production, new KitUnit(tag, name, what, KitSize.flat(sideM, sideM), "Cloths", null, List.of()));
    }

    private void counted(String what, StockForm form, KitSize size, int count, @Nullable String packedIn) {
        inventory.count(production, new CountedStock(what, form, size, count, packedIn));
    }

    private void cable(double metres, double areaMm2, int count) {
        counted("Cable", StockForm.CABLE, new KitSize(null, metres, areaMm2, null), count, "Cables");
    }

    private void roll(String what, double metres) {
        counted(what, StockForm.ROLL, new KitSize(null, metres, null, null), 1, "Gels");
    }

    private static UnitSpan away(UnitSpan.State state, int from, @Nullable Integer until, @Nullable String note) {
        return new UnitSpan(state, november(from), until == null ? null : november(until), note);
    }

    private static LocalDate november(int day) {
        return LocalDate.of(2026, 11, day);
    }
}
