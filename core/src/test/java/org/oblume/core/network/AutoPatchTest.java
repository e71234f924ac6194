package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.core.carry.Attribution;
import org.oblume.core.carry.Knot;
import org.oblume.core.carry.ShotState;
import org.oblume.core.carry.Slate;
import org.oblume.core.network.AutoPatch.Order;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Place;
import org.oblume.core.plot.Role;

class AutoPatchTest {

    private static final FreeSlots.Spot START = new FreeSlots.Spot(1, 1);
    private static final Attribution TIED = new Attribution(null, null, "gaffer", Instant.EPOCH, 1);
    private static final ShotState NOWHERE = ShotState.of(new Slate("1A"), List.of());

    private static List<String> keys(List<PatchedUnit> units) {
        return units.stream().map(u -> u.placement().key()).toList();
    }

    private static List<String> said(
            List<PatchedUnit> units, ShotState state, Order order, FreeSlots.Spot from, int every) {
        return AutoPatch.plan(units, keys(units), state, order, from, every).stream()
                .map(r -> r.unit().placement().name() + " " + r.to().universe() + "/" + r.to().address())
                .toList();
    }

    @Test
    void byPositionTheyGoFromLeftToRight() {
        List<PatchedUnit> units = List.of(Truck.spot("Right", 1, 101), Truck.spot("Left", 1, 201));
        ShotState state = ShotState.of(
                new Slate("1A"),
                List.of(
                        new Knot(new Slate("1A"), "right", new Place(5, 1, false), TIED),
                        new Knot(new Slate("1A"), "left", new Place(2, 3, false), TIED)));
        assertThat(said(units, state, Order.POSITION, START, 1)).containsExactly("Left 1/1", "Right 1/9");
    }

    @Test
    void byRoleTheyGoAsASceneIsBuiltAndFromRoundAddressesWhenWanted() {
        List<PatchedUnit> units = List.of(role("Edge", Role.EDGE), role("Key", Role.KEY), role("Glow", Role.AMBIENCE));
        assertThat(said(units, NOWHERE, Order.ROLE, new FreeSlots.Spot(2, 1), 10))
                .containsExactly("Glow 2/1", "Key 2/11", "Edge 2/21");
    }

    private static PatchedUnit role(String name, Role role) {
        return Truck.unit(
                name,
                name + " 1",
                role,
                new Patch(1, 400, 8, "16-bit white"),
                Truck.SPOT_MODES,
                Truck.at(50, 4300),
                Menu.NOTHING);
    }

    @Test
    void renumberingClosesGapsAndLeavesAloneWhatIsInPlace() {
        assertThat(said(List.of(Truck.spot("Key", 1, 1), Truck.spot("Edge", 1, 31)), NOWHERE, Order.ADDRESS, START, 1))
                .containsExactly("Edge 1/9");
    }

    @Test
    void unitsThatAreNotChosenKeepTheirPlaceAndAreKeptClearOf() {
        List<PatchedUnit> units = List.of(Truck.spot("Key", 1, 5), Truck.spot("Edge", 1, 301));
        assertThat(AutoPatch.plan(units, List.of("edge"), NOWHERE, Order.ADDRESS, START, 1)
                        .get(0)
                        .to()
                        .address())
                .isEqualTo(13);
    }

    @Test
    void aFootprintNeverRunsOverTheEndOfAUniverse() {
        assertThat(said(List.of(Truck.spot("Key", 5, 1)), NOWHERE, Order.ADDRESS, new FreeSlots.Spot(1, 506), 1))
                .containsExactly("Key 2/1");
    }

    @Test
    void oneByHandGetsAModeThatCarriesWhatItIsDialledToAndOneInTheAppIsLeft() {
        PatchedUnit byHand = Truck.unit("Spot", Patch.BY_HAND, Truck.SPOT_MODES, Truck.at(50, 4300));
        PatchedUnit inApp = Truck.unit(
                "Bulb",
                new Patch(null, null, null, null, ControlPath.APP, "Practicals"),
                Truck.SPOT_MODES,
                Truck.at(50, 4300));
        List<PatchedUnit> units = List.of(byHand, inApp);
        List<AutoPatch.Repatch> plan = AutoPatch.plan(units, keys(units), NOWHERE, Order.ROLE, START, 1);
        assertThat(plan).hasSize(1);
        assertThat(plan.get(0).to()).isEqualTo(new Patch(1, 1, 8, "16-bit white"));
    }

    @ParameterizedTest
    @MethodSource("rigs")
    void whateverIsPatchedNothingOverlapsAfterwards(List<PatchedUnit> units, int every) {
        List<PatchedUnit> after = new ArrayList<>(units);
        AutoPatch.plan(units, keys(units), NOWHERE, Order.POWER, START, every)
                .forEach(r -> after.set(
                        units.indexOf(r.unit()),
                        new PatchedUnit(
                                r.unit().placement(),
                                r.to(),
                                r.unit().modes(),
                                r.unit().values(),
                                r.unit().menu())));
        assertThat(PatchCheck.of(after, List.of(), List.of(), null)).isEmpty();
        assertThat(AutoPatch.plan(after, keys(after), NOWHERE, Order.ADDRESS, START, every))
                .as("renumbered again nothing moves")
                .isEmpty();
    }

    static Stream<Arguments> rigs() {
        Random random = new Random(9);
        return IntStream.range(0, 20)
                .mapToObj(i -> Arguments.of(
                        IntStream.range(0, 20 + random.nextInt(120))
                                .mapToObj(n -> Truck.unit(
                                        "Unit " + n,
                                        new Patch(
                                                1 + random.nextInt(2),
                                                1 + random.nextInt(480),
                                                null,
                                                random.nextBoolean() ? "16-bit white" : "8-bit white"),
                                        Truck.SPOT_MODES,
                                        Truck.at(50, 4300)))
                                .toList(),
                        1 + random.nextInt(12)));
    }

    @Test
    void theNextFreeAddressIsTheFirstGapThatIsWideEnough() {
        FreeSlots free = FreeSlots.around(List.of(Truck.spot("Key", 1, 5), Truck.spot("Edge", 1, 20)));
        assertThat(free.next(START, 4, 1).address()).isEqualTo(1);
        assertThat(free.next(START, 5, 1).address()).isEqualTo(13);
        assertThat(free.next(START, 8, 1).address()).isEqualTo(28);
        assertThat(free.left(1)).isEqualTo(496);
        assertThatThrownBy(() -> free.next(new FreeSlots.Spot(63999, 510), 8, 1))
                .hasMessageContaining("No universe");
    }
}
