package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.oblume.core.photometry.LevelCurve;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.ControlPath;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Lamp;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

class PatchCheckTest {

    private static NetworkNode node(
            String name, String address, String mask, @Nullable String gateway, Integer... ports) {
        return new NetworkNode(
                name,
                Ipv4.parse("address", address),
                Ipv4.parse("mask", mask),
                gateway == null ? null : Ipv4.parse("gateway", gateway),
                List.of(ports));
    }

    private static List<Conflict> nodes(NetworkNode... nodes) {
        return PatchCheck.of(List.of(Truck.spot("Key", 1, 1)), List.of(nodes), List.of(), null);
    }

    private static Conflict only(List<Conflict> found) {
        assertThat(found).hasSize(1);
        assertThat(found.get(0).fix()).isNotBlank();
        return found.get(0);
    }

    @Test
    void unitsSideBySideAreFine() {
        assertThat(Truck.check(Truck.spot("Key", 1, 1), Truck.spot("Edge", 1, 9), Truck.spot("Fill", 2, 1)))
                .isEmpty();
    }

    @Test
    void unitsThatShareASlotAreToldAndTheNextFreeAddressMendsIt() {
        PatchedUnit key = Truck.spot("Key", 1, 1);
        PatchedUnit edge = Truck.spot("Edge", 1, 8);
        Conflict conflict = only(Truck.check(key, edge, Truck.spot("Fill", 1, 16)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.OVERLAP);
        assertThat(conflict.sentence()).isEqualTo("Key (1 to 8) and Edge (8 to 15) share slots of universe 1.");
        assertThat(conflict.proposal().get("edge")).isEqualTo(new Patch(1, 24, 8, "16-bit white"));
    }

    @Test
    void anOverlapIsToldExactlyWhereTwoFootprintsShareASlot() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            int one = 1 + random.nextInt(60);
            int other = 1 + random.nextInt(60);
            boolean shares = IntStream.range(one, one + 8).anyMatch(slot -> slot >= other && slot < other + 8);
            assertThat(Truck.check(Truck.spot("Key", 1, one), Truck.spot("Edge", 1, other)).stream()
                            .anyMatch(c -> c.kind() == Conflict.Kind.OVERLAP))
                    .as("%d and %d", one, other)
                    .isEqualTo(shares);
            assertThat(Truck.check(Truck.spot("Key", 1, one), Truck.spot("Edge", 2, other)))
                    .isEmpty();
        }
    }

    @Test
    void whatIsOfferedMendsTheConflict() {
        List<PatchedUnit> units = List.of(
                Truck.spot("Key", 1, 1),
                Truck.spot("Edge", 1, 4),
                Truck.spot("Fill", 1, 12),
                Truck.unit("Back", new Patch(1, 510, null, "16-bit white"), Truck.SPOT_MODES, Truck.at(50, 4300)));
        List<PatchedUnit> now = units;
        for (List<Conflict> found = PatchCheck.of(now, List.of(), List.of(), null);
                !found.isEmpty();
                found = PatchCheck.of(now, List.of(), List.of(), null)) {
            Conflict first = found.get(0);
            assertThat(first.proposal()).as(first.sentence()).isNotEmpty();
            now = now.stream()
                    .map(u -> new PatchedUnit(
                            u.placement(),
                            first.proposal().getOrDefault(u.placement().key(), u.patch()),
                            u.modes(),
                            u.values(),
                            u.menu()))
                    .toList();
        }
        assertThat(now.get(0).patch())
                .as("the first of two stays")
                .isEqualTo(units.get(0).patch());
    }

    @Test
    void aFootprintPast512IsTold() {
        Conflict conflict = only(Truck.check(
                Truck.unit("Key", new Patch(1, 508, null, "16-bit white"), Truck.SPOT_MODES, Truck.at(50, 4300))));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.PAST_512);
        assertThat(conflict.fix()).contains("505");
    }

    @Test
    void oneUnitInTwoPlacesIsTold() {
        Conflict conflict = only(Truck.check(
                Truck.unit(
                        "Key",
                        "Heron 2",
                        Role.KEY,
                        new Patch(1, 1, 8, "16-bit white"),
                        Truck.SPOT_MODES,
                        Truck.at(50, 4300),
                        Menu.NOTHING),
                Truck.unit(
                        "Edge",
                        "Heron 2",
                        Role.EDGE,
                        new Patch(1, 21, 8, "16-bit white"),
                        Truck.SPOT_MODES,
                        Truck.at(50, 4300),
                        Menu.NOTHING)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.SAME_UNIT_TWICE);
        assertThat(conflict.sentence()).contains("Heron 2 is Key and Edge");
    }

    @Test
    void aModeThatLacksWhatIsRecordedIsToldWithOneThatHasIt() {
        FixtureValues flickering =
                new FixtureValues(50, 4300.0, 0.004, new Colour(210, 60), null, new Effect(Effect.Kind.FLICKER, 3));
        Conflict conflict =
                only(Truck.check(Truck.unit("Tube", new Patch(1, 1, 6, "8-bit white"), Truck.TUBE_MODES, flickering)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.MODE_LACKS);
        assertThat(conflict.sentence())
                .isEqualTo("Tube has a colour recorded; its mode 8-bit white has no slot for it.");
        assertThat(conflict.proposal().get("tube").mode()).isEqualTo("colour");
    }

    @Test
    void aColourTemperatureThatTheModeCannotBeToldIsSetAtTheHead() {
        Conflict conflict = only(
                Truck.check(Truck.unit("Spot", new Patch(1, 1, 1, "dimmer"), "dimmer: level", Truck.at(50, 4300))));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.MODE_LACKS);
        assertThat(conflict.sentence()).contains("a colour temperature");
        assertThat(conflict.fix()).contains("at the head");
    }

    @Test
    void theColourOfAFilamentIsTheLampsOwnAndNoModeIsMissedForIt() {
        Piece bulb = Truck.piece("Bulb 1", "dimmer: level", 60);
        Lamp lamp = bulb.lamp();
        Piece filament = new Piece(
                "Practical bulb 60 W",
                "Bulb 1",
                0.06,
                1800.0,
                2900.0,
                60,
                Mount.IN_PLACE,
                null,
                new Lamp(lamp.optics(), true, 0.06, LevelCurve.TUNGSTEN, 0, 0, lamp.upkeep()),
                null);
        Placement placement = new Placement("bulb", "Bulb", PlacementKind.PRACTICAL, Role.PRACTICAL, null, filament);
        assertThat(Truck.check(new PatchedUnit(
                        placement, new Patch(1, 1, 1, "dimmer"), Mode.of(filament), Truck.at(38, 2700), Menu.NOTHING)))
                .isEmpty();
    }

    @Test
    void aModeThatTheKindDoesNotHaveAndAFootprintThatIsNotTheModesAreTold() {
        assertThat(only(Truck.check(Truck.unit(
                                "Spot", new Patch(1, 1, 8, "extended"), Truck.SPOT_MODES, Truck.at(50, 4300))))
                        .kind())
                .isEqualTo(Conflict.Kind.UNKNOWN_MODE);
        Conflict footprint = only(Truck.check(
                Truck.unit("Spot", new Patch(1, 1, 6, "8-bit white"), Truck.SPOT_MODES, Truck.at(50, 4300))));
        assertThat(footprint.sentence()).isEqualTo("Spot is recorded with 6 slots; 8-bit white has 3.");
        assertThat(footprint.proposal().get("spot").slots()).isEqualTo(3);
    }

    @Test
    void aWirelessUnitWithoutAnAddressIsTold() {
        Conflict conflict = only(Truck.check(Truck.unit(
                "Tube",
                new Patch(null, null, null, "8-bit white", ControlPath.WIRELESS, null),
                Truck.TUBE_MODES,
                Truck.at(50, 4300))));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.NO_ADDRESS);
        assertThat(conflict.proposal().get("tube"))
                .isEqualTo(new Patch(1, 1, 6, "8-bit white", ControlPath.WIRELESS, null));
    }

    @Test
    void nodesThatShareAnAddressAreTold() {
        assertThat(only(nodes(
                                node("Cart", "10.0.0.21", "255.255.255.0", null, 1),
                                node("Grid", "10.0.0.21", "255.255.255.0", null, 2)))
                        .kind())
                .isEqualTo(Conflict.Kind.NODE_CLASH);
    }

    @Test
    void aNodeOutsideTheNetworkIsTold() {
        NetworkNode cart = node("Cart", "10.0.0.21", "255.255.255.0", null, 1);
        assertThat(only(nodes(cart, node("Grid", "10.0.1.22", "255.255.255.0", null, 2)))
                        .sentence())
                .startsWith("Grid (10.0.1.22 / 255.255.255.0) is not in the network of Cart");
        assertThat(only(nodes(node("Cart", "10.0.0.255", "255.255.255.0", null, 1)))
                        .kind())
                .isEqualTo(Conflict.Kind.NODE_OUTSIDE);
        assertThat(only(nodes(node("Cart", "10.0.0.21", "255.255.255.0", "10.0.9.1", 1)))
                        .sentence())
                .contains("gateway");
        assertThat(nodes(cart, node("Grid", "10.0.0.22", "255.255.255.0", "10.0.0.1", 2)))
                .isEmpty();
    }

    @Test
    void aUniverseThatNoNodeCarriesIsToldWithWhoHearsNothing() {
        Conflict conflict = only(nodes(node("Cart", "10.0.0.21", "255.255.255.0", null, 2, 3)));
        assertThat(conflict.kind()).isEqualTo(Conflict.Kind.NOT_CARRIED);
        assertThat(conflict.sentence()).isEqualTo("No node carries universe 1: Key would hear nothing.");
    }

    @Test
    void twoSourcesAtOnePriorityAndOneAboveOursAreTold() {
        PatchCheck.SacnSource us = new PatchCheck.SacnSource(1, "us", "Oblume", 100);
        List<PatchedUnit> units = List.of(Truck.spot("Key", 1, 1));
        assertThat(PatchCheck.of(units, List.of(), List.of(us), "us")).isEmpty();
        Conflict same = only(PatchCheck.of(
                units, List.of(), List.of(us, new PatchCheck.SacnSource(1, "them", "house desk", 100)), "us"));
        assertThat(same.kind()).isEqualTo(Conflict.Kind.TWO_SOURCES);
        assertThat(same.sentence()).contains("Oblume and house desk both send universe 1 at priority 100");
        Conflict above = only(PatchCheck.of(
                units, List.of(), List.of(us, new PatchCheck.SacnSource(1, "them", "house desk", 120)), "us"));
        assertThat(above.kind()).isEqualTo(Conflict.Kind.OVERRULED);
        assertThat(above.fix()).contains("above 120");
    }
}
