package org.oblume.server.recall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.MulticastSocket;
import java.net.NetworkInterface;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.oblume.core.network.FixtureValues;
import org.oblume.core.network.Mode;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UniverseFrame;
import org.oblume.core.plot.Colour;
import org.oblume.core.plot.Effect;
import org.oblume.core.plot.Menu;
import org.oblume.core.plot.Mount;
import org.oblume.core.plot.Patch;
import org.oblume.core.plot.Piece;
import org.oblume.core.plot.Placement;
import org.oblume.core.plot.PlacementKind;
import org.oblume.core.plot.Role;

/** What goes out on the wire, over a real socket. */
class SacnSenderTest {

    private final Listener listener = new Listener();
    private final SacnSender sender = sender();

    private SacnSender sender() {
        try {
            return new SacnSender(UUID.randomUUID(), "Oblume", null, listener.port(), System::nanoTime, trouble -> {});
        } catch (IOException failed) {
            throw new IllegalStateException(failed);
        }
    }

    @AfterEach
    void stop() {
        sender.close();
        listener.close();
    }

    private List<SacnPacket> universe(int universe) {
        return listener.all().stream()
                .map(Listener.Heard::packet)
                .filter(p -> p.universe() == universe)
                .toList();
    }

    @Test
    void nothingIsSentUntilThereIsSomethingToSendAndThenNoMoreThanThat() throws IOException {
        assertThat(sender.universes()).isZero();
        sender.send(Map.of(5, UniverseFrame.blackout(5)), 0, 100);
        await().until(() -> universe(5).size() >= 3);
        assertThat(listener.all().get(0).packet().sequence())
                .as("the first of all packets")
                .isZero();
        assertThat(listener.all()).allMatch(h -> h.packet().universe() == 5);
    }

    @Test
    void sequenceNumbersGoUpByOneAndAFadeStaysUnder44FramesASecond() throws IOException {
        sender.send(Map.of(1, UniverseFrame.blackout(1), 2, UniverseFrame.blackout(2)), 1, 120);
        await().until(() -> sender.done() == 1 && universe(2).size() > 30);
        List<SacnPacket> heard = universe(1);
        assertThat(IntStream.range(1, heard.size())
                        .map(i -> heard.get(i).sequence() - heard.get(i - 1).sequence()))
                .containsOnly(1);
        assertThat(heard).allMatch(p -> p.priority() == 120 && p.slots().length == 512 && !p.terminated());
        long first = listener.all().get(0).nanos();
        long inASecond = listener.all().stream()
                .filter(h -> h.packet().universe() == 1 && h.nanos() - first < 1_000_000_000L)
                .count();
        assertThat(inASecond).isLessThanOrEqualTo(SacnSender.MOST_A_SECOND);
    }

    @Test
    void whatRestsIsKeptAliveAboutOnceASecond() throws IOException {
        sender.send(Map.of(1, UniverseFrame.blackout(1)), 0, 100);
        await().until(() -> universe(1).size() >= 6);
        List<Listener.Heard> all = listener.all();
        double apart = (all.get(5).nanos() - all.get(4).nanos()) / 1e9;
        assertThat(apart).as("ANSI E1.31-2018, 6.6.2: 800 to 1000 ms").isBetween(0.79, 1.2);
    }

    @Test
    void aUniverseThatIsLetGoSaysSoThreeTimes() throws IOException {
        sender.send(Map.of(1, UniverseFrame.blackout(1), 63999, UniverseFrame.blackout(63999)), 0, 100);
        await().until(() -> universe(63999).size() >= 3);
        sender.release();
        await().until(() -> sender.universes() == 0);
        await().untilAsserted(() ->
                assertThat(universe(1).stream().filter(SacnPacket::terminated)).hasSize(3));
        assertThat(universe(63999).stream().filter(SacnPacket::terminated)).hasSize(3);
        assertThat(universe(1).subList(universe(1).size() - 3, universe(1).size()))
                .allMatch(SacnPacket::terminated);
    }

    @Test
    void goingDarkIsThreeFramesOfZerosAndThenTheEnd() throws IOException {
        sender.send(Map.of(4, lit(4)), 0, 100);
        await().until(() -> universe(4).size() >= 3);
        int before = universe(4).size();
        long asked = System.nanoTime();
        sender.end(AtStop.GO_DARK);
        assertThat((System.nanoTime() - asked) / 1e9).as("seconds").isLessThan(0.25);
        await().untilAsserted(() ->
                assertThat(universe(4).stream().filter(SacnPacket::terminated)).hasSize(3));
        List<SacnPacket> end =
                universe(4).subList(universe(4).size() - 6, universe(4).size());
        assertThat(universe(4).size()).isGreaterThanOrEqualTo(before + 6);
        assertThat(end).allMatch(p -> IntStream.range(0, 512).allMatch(i -> p.slots()[i] == 0));
        assertThat(end.subList(0, 3)).noneMatch(SacnPacket::terminated);
    }

    @Test
    void lettingTheFixturesDecideSendsNoOtherLevel() throws IOException {
        sender.send(Map.of(4, lit(4)), 0, 100);
        await().until(() -> universe(4).size() >= 3);
        sender.end(AtStop.FIXTURES_DECIDE);
        await().untilAsserted(() ->
                assertThat(universe(4).stream().filter(SacnPacket::terminated)).hasSize(3));
        assertThat(universe(4)).allMatch(p -> p.slots()[0] == (byte) 255);
    }

    @Test
    void aNetworkThatTakesPacketsAgainIsSaidToDoSo() throws IOException {
        AtomicBoolean unplugged = new AtomicBoolean();
        DatagramSocket cable = new DatagramSocket(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0)) {
            @Override
            public void send(DatagramPacket packet) throws IOException {
                if (unplugged.get()) {
                    throw new IOException("Network is unreachable");
                }
                super.send(packet);
            }
        };
        List<String> told = new CopyOnWriteArrayList<>();
        try (SacnSender other = new SacnSender(
                UUID.randomUUID(),
                "Oblume",
                cable,
                false,
                listener.port(),
                System::nanoTime,
                trouble -> told.add(trouble == null ? "fine again" : String.valueOf(trouble.getMessage())))) {
            other.send(Map.of(1, UniverseFrame.blackout(1)), 0, 100);
            await().until(() -> other.sent() >= 1);
            assertThat(told).isEmpty();
            unplugged.set(true);
            await().until(() -> told.contains("Network is unreachable"));
            unplugged.set(false);
            await().until(() -> told.get(told.size() - 1).equals("fine again"));
            assertThat(told.stream().filter("fine again"::equals)).hasSize(1);
        }
    }

    /** A universe with one light at full on its first slot. */
    private static UniverseFrame lit(int universe) {
        Piece spot = new Piece("LED spot", null, 0.2, null, null, 165.0, Mount.STAND, null, null, null, null);
        PatchedUnit light = new PatchedUnit(
                new Placement("key", "Key", PlacementKind.HEAD, Role.KEY, null, spot),
                new Patch(universe, 1, 1, "8-bit"),
                Mode.parse("8-bit: level"),
                new FixtureValues(100, null, 0, Colour.WHITE, null, Effect.NONE),
                Menu.NOTHING);
        return UniverseFrame.of(List.of(light)).get(universe);
    }

    @Test
    void onAnInterfaceEachUniverseGoesToItsMulticastGroup() throws IOException {
        NetworkInterface loopback = NetworkInterface.getByInetAddress(InetAddress.getLoopbackAddress());
        InetSocketAddress group = new InetSocketAddress(InetAddress.getByName("239.255.0.7"), 0);
        try (MulticastSocket socket = new MulticastSocket(0)) {
            socket.joinGroup(group, loopback);
            socket.setSoTimeout(5000);
            try (SacnSender multicast = new SacnSender(
                    UUID.randomUUID(), "Oblume", loopback, socket.getLocalPort(), System::nanoTime, trouble -> {})) {
                multicast.send(Map.of(7, UniverseFrame.blackout(7)), 0, 100);
                DatagramPacket packet = new DatagramPacket(new byte[1500], 1500);
                socket.receive(packet);
                assertThat(SacnPacket.decode(packet.getData(), packet.getLength())
                                .universe())
                        .isEqualTo(7);
            }
        }
    }

    @Test
    void aUniverseThatTheNextShotDoesNotUseGoesDarkInItsTimeAndEnds() throws IOException {
        sender.send(Map.of(1, UniverseFrame.blackout(1), 2, UniverseFrame.blackout(2)), 0, 100);
        await().until(() -> universe(2).size() >= 3);
        sender.send(Map.of(1, UniverseFrame.blackout(1)), 0.2, 100);
        await().untilAsserted(() ->
                assertThat(universe(2).stream().filter(SacnPacket::terminated)).hasSize(3));
        assertThat(sender.universes()).isEqualTo(1);
        assertThat(universe(1)).noneMatch(SacnPacket::terminated);
    }
}
