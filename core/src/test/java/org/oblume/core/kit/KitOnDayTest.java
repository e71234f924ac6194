package org.oblume.core.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.kit.DayNeed.ShotInTime;
import org.oblume.core.kit.KitOnDay.AbsentUnit;

class KitOnDayTest {

    private static final LocalDate DAY_4 = LocalDate.of(2026, 11, 19);
    private static final KitItem SPOT = KitItem.thing("Spot 300 W");

    private static Needed needed(KitItem item, @Nullable String unit, String by) {
        return new Needed(item, unit, by.toLowerCase(Locale.ROOT), by, false, false);
    }

    private static ShotInTime shot(String slate, double from, double to, Needed... things) {
        return new ShotInTime(slate, from, to, 30, List.of(things));
    }

    private static KitUnit unit(String name, UnitSpan... spans) {
        return new KitUnit(name.replace(' ', '-'), name, SPOT.what(), KitSize.NONE, null, null, List.of(spans));
    }

    private static CountedStock counted(String what, StockForm form, KitSize size, int count) {
        return new CountedStock(what, form, size, count, null);
    }

    @Test
    void shotsOfOneCrewTakeTheSameHeadsOneAfterTheOther() {
        List<DayNeed> need = DayNeed.of(List.of(
                shot("4A", 540, 600, needed(SPOT, null, "Key"), needed(SPOT, null, "Edge")),
                shot("4B", 600, 700, needed(SPOT, null, "Key"))));
        assertThat(need).singleElement().satisfies(n -> {
            assertThat(n.count()).isEqualTo(2);
            assertThat(n.shots()).containsExactly("4A", "4B");
            assertThat(n.by()).containsExactly("Key", "Edge");
        });
    }

    @Test
    void whatTwoCrewsShootAtOnceAddsUp() {
        assertThat(DayNeed.of(List.of(
                                shot("4A", 540, 600, needed(SPOT, null, "Key")),
                                shot("22A", 570, 630, needed(SPOT, null, "Moon"))))
                        .get(0)
                        .count())
                .isEqualTo(2);
    }

    @Test
    void aUnitThatTwoShotsNameStandsOnceAndEachNamedOneIsPulled() {
        DayNeed need = DayNeed.of(List.of(
                        shot("4A", 540, 600, needed(SPOT, "Heron 2", "Key")),
                        shot("4B", 570, 660, needed(SPOT, "heron 2", "Key")),
                        shot("4C", 700, 760, needed(SPOT, "Heron 1", "Key"))))
                .get(0);
        assertThat(need.count()).isOne();
        assertThat(need.units()).containsExactly("Heron 1", "Heron 2");
        assertThat(need.toPull()).isEqualTo(2);
    }

    /** For any times, counted minute by minute. */
    @Test
    void theMostThatStandsAtOnceIsThatOfTheBusiestMinute() {
        Random any = new Random(29);
        for (int round = 0; round < 200; round++) {
            List<ShotInTime> shots = IntStream.range(0, 5)
                    .mapToObj(i -> {
                        int from = any.nextInt(60);
                        return shot(
                                "S" + i,
                                from,
                                from + 1 + any.nextInt(40),
                                IntStream.range(0, 1 + any.nextInt(3))
                                        .mapToObj(n -> needed(SPOT, null, "K" + n))
                                        .toArray(Needed[]::new));
                    })
                    .toList();
            int most = IntStream.range(0, 100)
                    .map(minute -> shots.stream()
                            .filter(s -> s.fromMin() <= minute && minute < s.toMin())
                            .mapToInt(s -> s.things().size())
                            .sum())
                    .max()
                    .orElseThrow();
            assertThat(DayNeed.of(shots).get(0).count()).isEqualTo(most);
        }
    }

    @Test
    void aUnitOnHireOrAtRepairIsNotThereAndSaidWhy() {
        KitUnit out = unit("Heron 2", new UnitSpan(UnitSpan.State.OUT, DAY_4, DAY_4.plusDays(1), null));
        KitUnit broken = unit("Heron 3", new UnitSpan(UnitSpan.State.REPAIR, DAY_4.minusDays(2), null, "fan rattles"));
        KitUnit here = unit("Heron 1", new UnitSpan(UnitSpan.State.ON_TRUCK, DAY_4, null, null));
        KitUnit gone = new KitUnit("G", "Gannet", SPOT.what(), KitSize.NONE, null, DAY_4.minusDays(1), List.of());
        List<DayNeed> need = DayNeed.of(
                List.of(shot("4A", 900, 960, needed(SPOT, "Heron 2", "Key"), needed(SPOT, "Heron 9", "Edge"))));
        KitOnDay kit = KitOnDay.of(need, List.of(out, broken, here, gone), List.of(), DAY_4);
        assertThat(kit.lines()).singleElement().satisfies(line -> {
            assertThat(line.there()).isOne();
            assertThat(line.missing()).isOne();
            assertThat(line.tags()).containsExactly("Heron-1");
            assertThat(line.absent())
                    .containsExactly(
                            new AbsentUnit("Heron 2", "out on hire until 20 Nov"),
                            new AbsentUnit("Heron 9", "not in the kit"));
        });
        assertThat(gone.whyNot(DAY_4)).hasValue("hired until 18 Nov");
        assertThat(broken.whyNot(DAY_4)).hasValue("at repair since 17 Nov, fan rattles");
        assertThat(out.isThere(DAY_4.minusDays(1))).isTrue();
    }

    @Test
    void whatNothingNeedsIsFreeToStandIn() {
        List<DayNeed> need = DayNeed.of(List.of(shot("4A", 900, 960, needed(SPOT, null, "Key"))));
        KitUnit tern = new KitUnit("T1", "Tern", "Spot 60 W", KitSize.NONE, null, null, List.of());
        KitOnDay kit = KitOnDay.of(need, List.of(unit("Heron 1"), unit("Heron 2"), tern), List.of(), DAY_4);
        assertThat(kit.free()).extracting(KitUnit::name).containsExactly("Heron 1", "Tern");
        assertThat(kit.lines().get(0).missing()).isZero();
    }

    @Test
    void anotherOfItsKindIsFreeToTakeTheAbsentOnesPlace() {
        KitUnit out = unit("Heron 2", new UnitSpan(UnitSpan.State.OUT, DAY_4, null, null));
        List<DayNeed> need = DayNeed.of(List.of(shot("4A", 900, 960, needed(SPOT, "Heron 2", "Key"))));
        KitOnDay kit = KitOnDay.of(need, List.of(out, unit("Heron 1")), List.of(), DAY_4);
        assertThat(kit.free()).extracting(KitUnit::name).containsExactly("Heron 1");
        assertThat(kit.lines().get(0).missing()).isZero();
    }

    @Test
    void aBatteryOfAnotherKindIsNoHelp() {
        List<DayNeed> need = DayNeed.of(List.of(shot("4A", 0, 10, needed(KitItem.battery(75), null, "Tube"))));
        List<CountedStock> large =
                List.of(counted("Battery", StockForm.BATTERY, new KitSize(null, null, null, 150.0), 4));
        List<CountedStock> like =
                List.of(counted("Battery", StockForm.BATTERY, new KitSize(null, null, null, 78.0), 4));
        assertThat(KitOnDay.of(need, List.of(), large, DAY_4).lines().get(0).missing())
                .isOne();
        assertThat(KitOnDay.of(need, List.of(), like, DAY_4).lines().get(0).missing())
                .isZero();
    }

    @Test
    void aLongCableIsKeptForTheLongRun() {
        KitItem run20 = new KitItem(KitItem.Sort.CABLE, "Cable", new KitSize(null, 20.0, 2.5, null));
        KitItem run8 = new KitItem(KitItem.Sort.CABLE, "Cable", new KitSize(null, 8.0, 2.5, null));
        List<DayNeed> need =
                DayNeed.of(List.of(shot("4A", 0, 10, needed(run8, null, "Key"), needed(run20, null, "Moon"))));
        List<CountedStock> cables = List.of(
                counted("Cable", StockForm.CABLE, new KitSize(null, 25.0, 2.5, null), 1),
                counted("Cable", StockForm.CABLE, new KitSize(null, 10.0, 2.5, null), 1),
                counted("Cable", StockForm.CABLE, new KitSize(null, 50.0, 1.5, null), 9));
        assertThat(KitOnDay.of(need, List.of(), cables, DAY_4).lines())
                .allSatisfy(line -> assertThat(line.missing()).isZero());
        assertThat(KitOnDay.of(need, List.of(), cables.subList(0, 1), DAY_4).lines())
                .extracting(KitOnDay.KitLine::missing)
                .containsExactly(1, 0);
    }

    @Test
    void aBulbOfThePlaceIsNotAskedOfTheKit() {
        Needed bulb = new Needed(KitItem.thing("Bulb"), null, "lamp", "Lamp", true, false);
        List<DayNeed> need = DayNeed.of(List.of(shot("4A", 0, 10, bulb, bulb)));
        assertThat(KitOnDay.of(need, List.of(), List.of(), DAY_4).lines().get(0).missing())
                .isZero();
        List<CountedStock> one = List.of(counted("Bulb", StockForm.PIECE, KitSize.NONE, 1));
        assertThat(KitOnDay.of(need, List.of(), one, DAY_4).lines().get(0).missing())
                .isOne();
    }

    @Test
    void aFilterBeforeAHotLampIsCutAnewWhenItIsWorn() {
        Needed gel = new Needed(KitItem.flat("Half CTB", 0.3, 0.3), null, "sun", "Sun", false, true);
        List<ShotInTime> shots = new ArrayList<>();
        for (int i = 0; i < 17; i++) {
            shots.add(new ShotInTime("11" + i, 100 * i, 100 * i + 90, 60, List.of(gel)));
        }
        assertThat(DayNeed.of(shots.subList(0, 7)).get(0).worn()).isZero();
        DayNeed need = DayNeed.of(shots).get(0);
        assertThat(need.worn()).isEqualTo(2);
        KitOnDay kit = KitOnDay.of(
                List.of(need),
                List.of(),
                List.of(counted("Half CTB", StockForm.ROLL, KitSize.flat(1.22, 0.3), 1)),
                DAY_4);
        assertThat(kit.cuts().get("Half CTB").pieces().get(0).fromRoll()).isEqualTo(3);
    }
}
