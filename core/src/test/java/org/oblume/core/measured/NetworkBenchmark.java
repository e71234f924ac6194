package org.oblume.core.measured;

import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.oblume.core.network.Desk;
import org.oblume.core.network.PatchedUnit;
import org.oblume.core.network.SacnPacket;
import org.oblume.core.network.UniverseFrame;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One universe of 64 spots, all 512 slots taken: what a frame of a fade costs, beside copying its octets. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
@State(Scope.Thread)
public class NetworkBenchmark {

    private final UniverseFrame from = Desk.full(1, 10).get(1);
    private final UniverseFrame to = Desk.full(1, 90).get(1);
    private final byte[] packet = new byte[SacnPacket.FULL_LENGTH];
    private final List<PatchedUnit> units = Desk.units(1, 50);
    private final byte[] slots = new byte[UniverseFrame.SLOTS];
    private double done;

    @Benchmark
    public byte[] aFrameOfAFade() {
        done = done >= 1 ? 0 : done + 0.001;
        to.writeTo(from, done, packet, SacnPacket.FIRST_SLOT);
        SacnPacket.renumber(packet, (int) (done * 255), false);
        return packet;
    }

    @Benchmark
    public byte[] aFrameAtRest() {
        to.writeTo(from, 1, packet, SacnPacket.FIRST_SLOT);
        return packet;
    }

    @Benchmark
    public Map<Integer, UniverseFrame> fromTheResolvedState() {
        return UniverseFrame.of(units);
    }

    @Benchmark
    public byte[] copying512Octets() {
        System.arraycopy(slots, 0, packet, SacnPacket.FIRST_SLOT, UniverseFrame.SLOTS);
        return packet;
    }
}
