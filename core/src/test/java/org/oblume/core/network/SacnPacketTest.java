package org.oblume.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.core.units.Refusal;

/** Octet by octet against tables 4-1, 6-1 and 7-1 of ANSI E1.31-2018. */
class SacnPacketTest {

    private static final UUID US = UUID.fromString("0b1e55ed-0000-4000-8000-0123456789ab");
    private final byte[] slots = new byte[512];

    private byte[] packet() {
        slots[0] = (byte) 255;
        slots[1] = 127;
        slots[511] = 1;
        return new SacnPacket(US, "Oblume ⅓", 100, 200, false, false, 63999, slots).encode();
    }

    @Test
    void aFullPacketHas638OctetsInTheStandardsLayout() {
        byte[] out = packet();
        assertThat(out).hasSize(638);
        assertThat(hex(out, 0, 16))
                .as("preamble, postamble, ACN identifier")
                .isEqualTo("00100000" + "4153432d45312e3137000000");
        assertThat(hex(out, 16, 22)).as("root: flags and length 622, vector").isEqualTo("726e" + "00000004");
        assertThat(hex(out, 22, 38)).as("CID").isEqualTo("0b1e55ed0000400080000123456789ab");
        assertThat(hex(out, 38, 44)).as("framing: flags and length 600, vector").isEqualTo("7258" + "00000002");
        assertThat(new String(out, 44, 10, StandardCharsets.UTF_8)).isEqualTo("Oblume ⅓");
        assertThat(Arrays.copyOfRange(out, 54, 108))
                .as("the name is filled up with nulls")
                .containsOnly(0);
        assertThat(hex(out, 108, 115))
                .as("priority, synchronization address, sequence, options, universe")
                .isEqualTo("64" + "0000" + "c8" + "00" + "f9ff");
        assertThat(hex(out, 115, 126))
                .as("DMP: flags and length 523, vector, type, first, increment, 513 values, START code")
                .isEqualTo("720b" + "02" + "a1" + "0000" + "0001" + "0201" + "00");
        assertThat(hex(out, 126, 128) + hex(out, 637, 638)).isEqualTo("ff7f01");
    }

    @Test
    void theOctetsAreThoseThatTheIndependentDecoderReads() throws IOException {
        try (InputStream kept = SacnPacketTest.class.getResourceAsStream("/sacn/packet.hex")) {
            assertThat(HexFormat.of().formatHex(packet()))
                    .isEqualTo(new String(kept.readAllBytes(), StandardCharsets.US_ASCII).strip());
        }
    }

    @Test
    void aPacketOfAnotherImplementationIsRead() throws IOException {
        try (InputStream kept = SacnPacketTest.class.getResourceAsStream("/sacn/other.hex")) {
            byte[] octets = HexFormat.of().parseHex(new String(kept.readAllBytes(), StandardCharsets.US_ASCII).strip());
            SacnPacket read = SacnPacket.decode(octets, octets.length);
            assertThat(read.universe()).isEqualTo(7);
            assertThat(read.priority()).isEqualTo(90);
            assertThat(read.sequence()).isEqualTo(41);
            assertThat(read.name()).isEqualTo("another source");
            assertThat(read.slots()[0] & 255).isEqualTo(255);
            assertThat(read.slots()[9] & 255).isEqualTo(128);
        }
    }

    @Test
    void theOptionsSayPreviewAndTheEndOfAStream() {
        assertThat(new SacnPacket(US, "a", 0, 0, true, false, 1, slots).encode()[112] & 255)
                .isEqualTo(0x80);
        assertThat(new SacnPacket(US, "a", 0, 0, false, true, 1, slots).encode()[112] & 255)
                .isEqualTo(0x40);
    }

    @Test
    void aShorterUniverseSaysSoInAllItsLengths() {
        byte[] out = new SacnPacket(US, "a", 100, 0, false, false, 1, new byte[24]).encode();
        assertThat(out).hasSize(150);
        assertThat(hex(out, 16, 18) + hex(out, 38, 40) + hex(out, 115, 117) + hex(out, 123, 125))
                .isEqualTo("7086" + "7070" + "7023" + "0019");
        assertThat(SacnPacket.decode(out, out.length).slots()).hasSize(24);
    }

    @ParameterizedTest
    @MethodSource("packets")
    void whatIsEncodedIsDecoded(SacnPacket packet) {
        byte[] out = packet.encode();
        assertThat(SacnPacket.decode(out, out.length)).isEqualTo(packet);
    }

    static Stream<SacnPacket> packets() {
        Random random = new Random(7);
        return Stream.generate(() -> {
                    byte[] slots = new byte[1 + random.nextInt(512)];
                    random.nextBytes(slots);
                    return new SacnPacket(
                            new UUID(random.nextLong(), random.nextLong()),
                            "source " + random.nextInt(),
                            random.nextInt(201),
                            random.nextInt(256),
                            random.nextBoolean(),
                            random.nextBoolean(),
                            1 + random.nextInt(63999),
                            slots);
                })
                .limit(50);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 37, 125, 126, 300, 637})
    void aTruncatedPacketIsRefused(int length) {
        byte[] out = packet();
        assertThatThrownBy(() -> SacnPacket.decode(out, length)).isInstanceOf(Refusal.class);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 5, 16, 17, 20, 39, 43, 115, 116, 117, 118, 120, 122, 123, 125})
    void anyDamageToItsFrameIsFound(int octet) {
        byte[] out = packet();
        out[octet] ^= 0x55;
        assertThatThrownBy(() -> SacnPacket.decode(out, out.length)).isInstanceOf(Refusal.class);
    }

    @Test
    void priorityAndUniverseOutsideTheirRangeAreRefused() {
        byte[] priority = packet();
        priority[108] = (byte) 201;
        assertThatThrownBy(() -> SacnPacket.decode(priority, priority.length)).hasMessageContaining("200");
        byte[] universe = packet();
        universe[113] = 0;
        universe[114] = 0;
        assertThatThrownBy(() -> SacnPacket.decode(universe, universe.length)).hasMessageContaining("63999");
        assertThatThrownBy(() -> new SacnPacket(US, "ä".repeat(32), 100, 0, false, false, 1, slots))
                .hasMessageContaining("63 octets");
    }

    @ParameterizedTest
    @MethodSource("noise")
    void noiseIsRefusedAndNothingElseHappens(byte[] octets) {
        assertThatThrownBy(() -> SacnPacket.decode(octets, octets.length)).isInstanceOf(Refusal.class);
    }

    static Stream<byte[]> noise() {
        Random random = new Random(11);
        return Stream.generate(() -> {
                    byte[] octets = new byte[random.nextInt(700)];
                    random.nextBytes(octets);
                    return octets;
                })
                .limit(200);
    }

    @Test
    void aPacketIsNumberedAnewWithoutBeingBuiltAnew() {
        byte[] out = packet();
        SacnPacket.renumber(out, 201, true);
        SacnPacket read = SacnPacket.decode(out, out.length);
        assertThat(read.sequence()).isEqualTo(201);
        assertThat(read.terminated()).isTrue();
        assertThat(read.slots()).isEqualTo(slots);
    }

    @Test
    void eachUniverseHasItsMulticastGroup() {
        assertThat(SacnPacket.group(1)).isEqualTo("239.255.0.1");
        assertThat(SacnPacket.group(63999)).isEqualTo("239.255.249.255");
    }

    private static String hex(byte[] octets, int from, int to) {
        return HexFormat.of().formatHex(octets, from, to);
    }
}
