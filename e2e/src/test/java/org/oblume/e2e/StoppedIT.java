package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.core.network.SacnPacket;

/** The server is told to stop while a shot is live and fifty pages are open: the light ends first, then the pages, then it is gone. */
class StoppedIT {

    private static final int PAGES = 50;
    private static final double NANOS = 1e9;

    private record Heard(long nanos, SacnPacket packet) {}

    private final List<Heard> heard = new ArrayList<>();
    private final CountDownLatch sending = new CountDownLatch(3);

    @ParameterizedTest
    @CsvSource({"GO_DARK, true", "FIXTURES_DECIDE, false"})
    void theLightEndsFirstAndNothingKeepsTheServer(String atStop, boolean dark) throws Exception {
        try (DatagramSocket rig = new DatagramSocket(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0))) {
            listen(rig);
            RunningOblume oblume = RunningOblume.sendingTo(RunningOblume.newData(), rig.getLocalPort());
            List<AutoCloseable> pages = new ArrayList<>();
            try {
                Person lead = Person.ofTheDemo(oblume, "LEAD");
                long shot = lead.shot("4C");
                lead.post("/api/output/arm", "{\"atStop\":\"%s\"}".formatted(atStop));
                String seen = lead.get("/api/shots/%d/recall".formatted(shot))
                        .get("stateDigest")
                        .asText();
                lead.post(
                        "/api/shots/%d/recall".formatted(shot),
                        "{\"fadeSeconds\":0,\"priority\":100,\"stateDigest\":\"%s\",\"warned\":true}".formatted(seen));
                assertThat(sending.await(20, TimeUnit.SECONDS)).isTrue();
                for (int i = 0; i < PAGES; i++) {
                    pages.add(lead.listen("page" + i));
                }
                long told = System.nanoTime();
                oblume.tellToStop();
                oblume.stop();
                double gone = (System.nanoTime() - told) / NANOS;
                List<Heard> after = after(told);
                List<Heard> ends =
                        after.stream().filter(h -> h.packet().terminated()).toList();
                assertThat(ends).as("packets that say the stream ends").isNotEmpty();
                double out = (ends.get(0).nanos() - told) / NANOS;
                System.out.printf("%s: out after %.2f s, gone after %.2f s%n", atStop, out, gone);
                assertThat(out).as("seconds until the stream ends").isLessThan(1);
                assertThat(gone).as("seconds until the server is gone").isLessThan(4);
                int universe = ends.get(0).packet().universe();
                List<SacnPacket> last = after.stream()
                        .map(Heard::packet)
                        .filter(p -> p.universe() == universe)
                        .toList();
                assertThat(last.subList(last.size() - 3, last.size())).allMatch(SacnPacket::terminated);
                assertThat(isDark(last.get(last.size() - 1))).isEqualTo(dark);
            } finally {
                oblume.close();
                for (AutoCloseable page : pages) {
                    page.close();
                }
            }
        }
    }

    private static boolean isDark(SacnPacket packet) {
        for (byte slot : packet.slots()) {
            if (slot != 0) {
                return false;
            }
        }
        return true;
    }

    private List<Heard> after(long nanos) {
        synchronized (heard) {
            return heard.stream().filter(h -> h.nanos() >= nanos).toList();
        }
    }

    private void listen(DatagramSocket rig) {
        Thread thread = new Thread(
                () -> {
                    DatagramPacket packet = new DatagramPacket(new byte[1500], 1500);
                    try {
                        while (true) {
                            packet.setLength(1500);
                            rig.receive(packet);
                            long now = System.nanoTime();
                            SacnPacket read = SacnPacket.decode(packet.getData(), packet.getLength());
                            synchronized (heard) {
                                heard.add(new Heard(now, read));
                            }
                            sending.countDown();
                        }
                    } catch (IOException closed) {
                        Thread.currentThread().interrupt();
                    }
                },
                "rig");
        thread.setDaemon(true);
        thread.start();
    }
}
