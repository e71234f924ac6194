package org.oblume.core.kit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What is needed on a day beside what is there then.
 *
 * @param lines one for each need, in their order
 * @param free units that are there and that no shot names, where others of their kind are enough; what takes the place of an absent one counts as free
 * @param cuts how the flat pieces of each filter and cloth are had, by its name
 */
public record KitOnDay(List<KitLine> lines, List<KitUnit> free, Map<String, CutPlan> cuts) {

    /**
     * A recorded unit that cannot be had.
     *
     * @param why {@code out on hire until 20 Nov}, {@code not in the kit}
     */
    public record AbsentUnit(String unit, String why) {}

    /**
     * @param there how many of them can be had, 0 or more; of flat pieces no more than are needed
     * @param missing how many cannot: needed and worn ones without those that are there, 0 or more
     * @param tags of units of its kind that are there, the recorded ones first
     * @param absent recorded ones that are not there
     */
    public record KitLine(DayNeed need, int there, int missing, List<String> tags, List<AbsentUnit> absent) {}

    /**
     * @param units all of the kit
     * @param counted all of it
     */
    public static KitOnDay of(
            List<DayNeed> needs, Collection<KitUnit> units, Collection<CountedStock> counted, LocalDate day) {
        return new Reckoning(needs, units, counted, day).result();
    }

    private static final class Reckoning {

        private final List<DayNeed> needs;
        private final LocalDate day;
        private final Map<String, KitUnit> byName = new HashMap<>();
        private final List<KitUnit> there;
        private final Collection<CountedStock> counted;
        private final Set<String> recorded = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
        private final Map<KitItem, Integer> sized = new HashMap<>();
        private final Map<String, CutPlan> cuts = new LinkedHashMap<>();

        Reckoning(List<DayNeed> needs, Collection<KitUnit> units, Collection<CountedStock> counted, LocalDate day) {
            this.needs = needs;
            this.day = day;
            this.counted = counted;
            units.forEach(u -> byName.put(name(u.name()), u));
            there = units.stream().filter(u -> u.isThere(day)).toList();
            needs.forEach(n -> recorded.addAll(n.units()));
        }

        private static String name(String of) {
            return of.toLowerCase(Locale.ROOT);
        }

        KitOnDay result() {
            flat();
            takeSized(KitItem.Sort.CABLE);
            takeSized(KitItem.Sort.BATTERY);
            List<KitLine> lines = needs.stream().map(this::line).toList();
            return new KitOnDay(lines, free(lines), cuts);
        }

        private KitLine line(DayNeed need) {
            int wanted = need.count() + need.worn();
            int had = sized.computeIfAbsent(need.item(), this::number);
            boolean stands = need.ofThePlace() && had == 0;
            return new KitLine(need, had, stands ? 0 : Math.max(0, wanted - had), tags(need), absent(need));
        }

        private int number(KitItem item) {
            int tagged = (int) there.stream().filter(item::isOf).count();
            return tagged
                    + counted.stream()
                            .filter(item::isOf)
                            .mapToInt(CountedStock::count)
                            .sum();
        }

        private List<String> tags(DayNeed need) {
            return there.stream()
                    .filter(u -> need.units().contains(u.name()) || need.item().isOf(u))
                    .sorted(Comparator.comparing((KitUnit u) -> !need.units().contains(u.name()))
                            .thenComparing(KitUnit::name, String.CASE_INSENSITIVE_ORDER))
                    .map(KitUnit::tag)
                    .toList();
        }

        private List<AbsentUnit> absent(DayNeed need) {
            List<AbsentUnit> all = new ArrayList<>();
            for (String unit : need.units()) {
                KitUnit known = byName.get(name(unit));
                Optional<String> why = known == null ? Optional.of("not in the kit") : known.whyNot(day);
                why.ifPresent(w -> all.add(new AbsentUnit(unit, w)));
            }
            return all;
        }

        /** All sizes of one filter or cloth together, for they are cut from the same. */
        private void flat() {
            Map<String, List<DayNeed>> byName = needs.stream()
                    .filter(n -> n.item().sort() == KitItem.Sort.FLAT)
                    .collect(
                            Collectors.groupingBy(n -> name(n.item().what()), LinkedHashMap::new, Collectors.toList()));
            byName.forEach((what, wanted) -> {
                List<CountedStock> stock = new ArrayList<>(counted.stream()
                        .filter(s -> s.what().equalsIgnoreCase(what))
                        .toList());
                there.stream()
                        .filter(u ->
                                u.what().equalsIgnoreCase(what) && !u.size().equals(KitSize.NONE))
                        .forEach(u -> stock.add(new CountedStock(u.what(), StockForm.CLOTH, u.size(), 1, null)));
                CutPlan plan = CutPlan.of(
                        wanted.stream()
                                .map(n -> new CutPlan.Wanted(n.item().size(), n.count() + n.worn()))
                                .toList(),
                        stock);
                cuts.put(wanted.get(0).item().what(), plan);
                for (int i = 0; i < wanted.size(); i++) {
                    CutPlan.Cut cut = plan.pieces().get(i);
                    sized.put(wanted.get(i).item(), cut.wanted() - cut.missing());
                }
            });
        }

        /** The largest first, each takes the smallest that will do. */
        private void takeSized(KitItem.Sort sort) {
            List<int[]> left = new ArrayList<>();
            List<CountedStock> stock = counted.stream()
                    .sorted(Comparator.comparingDouble(
                                    (CountedStock s) -> figure(s.size().areaMm2()))
                            .thenComparingDouble(s -> figure(s.size().lengthM()))
                            .thenComparingDouble(s -> figure(s.size().wattHours())))
                    .toList();
            stock.forEach(s -> left.add(new int[] {s.count()}));
            needs.stream()
                    .filter(n -> n.item().sort() == sort)
                    .sorted(Comparator.comparingDouble(
                                    (DayNeed n) -> -figure(n.item().size().areaMm2()))
                            .thenComparingDouble(n -> -figure(n.item().size().lengthM()))
                            .thenComparingDouble(n -> -figure(n.item().size().wattHours())))
                    .forEach(need -> {
                        int open = need.count();
                        for (int i = 0; i < stock.size() && open > 0; i++) {
                            if (need.item().isOf(stock.get(i))) {
                                int taken = Math.min(open, left.get(i)[0]);
                                left.get(i)[0] -= taken;
                                open -= taken;
                            }
                        }
                        sized.put(need.item(), need.count() - open);
                    });
        }

        private static double figure(@Nullable Double size) {
            return size == null ? 0 : size;
        }

        private List<KitUnit> free(List<KitLine> lines) {
            Map<String, Integer> spare = new HashMap<>();
            lines.stream()
                    .filter(l -> l.need.item().sort() == KitItem.Sort.THING)
                    .forEach(l -> spare.put(
                            name(l.need.item().what()),
                            l.there - Math.max(l.need.count(), l.need.units().size()) + l.absent.size()));
            int unneeded = there.size();
            List<KitUnit> free = new ArrayList<>();
            for (KitUnit unit : there) {
                if (!recorded.contains(unit.name())
                        && spare.merge(name(unit.what()), unneeded, (left, all) -> left - 1) >= 0) {
                    free.add(unit);
                }
            }
            return free;
        }
    }
}
