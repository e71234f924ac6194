package org.oblume.server.truck;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.oblume.core.kit.CountedStock;
import org.oblume.core.kit.CutPlan;
import org.oblume.core.kit.DayNeed;
import org.oblume.core.kit.KitItem;
import org.oblume.core.kit.KitOnDay;
import org.oblume.core.kit.KitOnDay.KitLine;
import org.oblume.core.kit.KitUnit;
import org.oblume.core.units.Phrase;
import org.oblume.server.inventory.InventoryService.Inventory;
import org.oblume.server.truck.PullViews.PullItem;

/** What goes onto a pull list: a line for each unit, one for each number, and what is not there to be pulled. */
record PullDraft(List<DraftLine> lines, List<Phrase> notThere) {

    /** A thing, and how many. */
    record DraftLine(PullItem item, int wanted) {

        /** What it is told apart by from one list to the next. */
        String key() {
            return "%s|%s".formatted(item.what().metric(), item.tag()).toLowerCase(Locale.ROOT);
        }
    }

    static PullDraft of(KitOnDay kit, Inventory inventory) {
        List<DraftLine> lines = new ArrayList<>();
        List<Phrase> notThere = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (KitLine line : kit.lines()) {
            DayNeed need = line.need();
            if (need.ofThePlace() && line.there() == 0) {
                continue;
            }
            int named = need.units().size() - line.absent().size();
            int wanted = Math.max(named, need.count() + need.worn());
            int tagged = 0;
            for (String tag : line.tags()) {
                if (tagged < wanted && taken.add(KitUnit.tagKey(tag))) {
                    unit(inventory, tag)
                            .ifPresent(u -> lines.add(new DraftLine(
                                    new PullItem(u.kind(), u.tag(), u.name(), u.packedIn(), forWhat(need)), 1)));
                    tagged++;
                }
            }
            int counted = Math.min(wanted, line.there()) - tagged;
            if (counted > 0) {
                lines.add(new DraftLine(
                        new PullItem(need.item().phrase(), null, null, packedIn(inventory, need.item()), forWhat(need)),
                        counted));
            }
            line.absent()
                    .forEach(a -> notThere.add(Phrase.of(
                            "%s, %s: %s".formatted(a.unit(), need.item().what(), a.why()))));
            if (line.missing() > 0) {
                notThere.add(
                        Phrase.format("%d × %s", line.missing(), need.item().phrase()));
            }
        }
        kit.cuts().forEach((what, cut) -> cutFrom(what, cut).ifPresent(lines::add));
        lines.sort(Comparator.comparing(
                (DraftLine l) -> l.item.packedIn(), Comparator.nullsLast(String.CASE_INSENSITIVE_ORDER)));
        return new PullDraft(lines, notThere);
    }

    /** The sheets and rolls that pieces are still cut from, so that they go along. */
    private static Optional<DraftLine> cutFrom(String what, CutPlan cut) {
        return cut.sheets() == 0
                ? Optional.empty()
                : Optional.of(new DraftLine(
                        new PullItem(Phrase.of(what + ", sheet"), null, null, null, "to cut the pieces from"),
                        cut.sheets()));
    }

    private static Optional<KitUnit> unit(Inventory inventory, String tag) {
        return inventory.units().stream()
                .filter(u -> KitUnit.tagKey(u.tag()).equals(KitUnit.tagKey(tag)))
                .findFirst();
    }

    private static @Nullable String packedIn(Inventory inventory, KitItem item) {
        return inventory.counted().stream()
                .filter(c -> c.what().equalsIgnoreCase(item.what()) && c.packedIn() != null)
                .map(CountedStock::packedIn)
                .findFirst()
                .orElse(null);
    }

    private static String forWhat(DayNeed need) {
        String by = String.join(", ", need.by());
        return need.shots().isEmpty() ? by : "%s in %s".formatted(by, String.join(", ", need.shots()));
    }
}
