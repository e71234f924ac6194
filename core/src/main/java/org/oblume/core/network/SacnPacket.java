package org.oblume.core.network;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import org.oblume.core.plot.Patch;
import org.oblume.core.units.Checks;
import org.oblume.core.units.Refusal;

/**
 * One E1.31 data packet (ANSI E1.31-2018, tables 4-1, 6-1 and 7-1): a universe of slots from one source. Numbers on the wire are
 * big-endian.
 *
 * @param source the sender's own identifier (CID)
 * @param name of the source, UTF-8, at most 63 octets
 * @param priority 0 to 200; of several sources the highest is heard
 * @param sequence 0 to 255, one more with each packet of a universe
 * @param preview not to be shown live
 * @param terminated whether the source stops sending this universe
 * @param universe 1 to 63999
 * @param slots 1 to 512
 */
public record SacnPacket(
        UUID source,
        String name,
        int priority,
        int sequence,
        boolean preview,
        boolean terminated,
        int universe,
        byte[] slots) {

    /** UDP port of E1.31. */
    public static final int PORT = 5568;

    public static final int USUAL_PRIORITY = 100;
    public static final int HIGHEST_PRIORITY = 200;
    /** Octets of a packet with all 512 slots. */
    public static final int FULL_LENGTH = 638;
    /** First slot's index in the packet. */
    public static final int FIRST_SLOT = 126;
    /** Packets with the stream-terminated bit that end a stream. */
    public static final int TERMINATION_PACKETS = 3;

    private static final int PREAMBLE = 0x0010;
    private static final byte[] ACN = {'A', 'S', 'C', '-', 'E', '1', '.', '1', '7', 0, 0, 0};
    private static final int ROOT_VECTOR = 0x00000004;
    private static final int DATA_VECTOR = 0x00000002;
    private static final int DMP_VECTOR = 0x02;
    private static final int DMP_TYPE = 0xa1;
    private static final int FLAGS = 0x7000;
    private static final int LENGTH = 0x0fff;
    private static final int PREVIEW = 0x80;
    private static final int TERMINATED = 0x40;
    private static final int ROOT_AT = 16;
    private static final int FRAMING_AT = 38;
    private static final int NAME_LENGTH = 64;
    private static final int SEQUENCE_AT = 111;
    private static final int OPTIONS_AT = 112;
    private static final int DMP_AT = 115;
    private static final int START_CODE_AT = 125;
    private static final int BYTE = 255;

    public SacnPacket {
        Checks.within("priority", "The priority", priority, 0, HIGHEST_PRIORITY, "");
        Checks.within("The sequence number", sequence, 0, BYTE, "");
        Checks.within("universe", "Universe", universe, 1, Patch.LAST_UNIVERSE, "");
        Checks.within("The number of slots", slots.length, 1, UniverseFrame.SLOTS, "");
        if (name.getBytes(StandardCharsets.UTF_8).length >= NAME_LENGTH) {
            throw new Refusal(
                    "name", "The source's name “%s” is longer than 63 octets: make it shorter.".formatted(name));
        }
        slots = slots.clone();
    }

    @Override
    public byte[] slots() {
        return slots.clone();
    }

    /** The packet's octets. */
    public byte[] encode() {
        int length = FIRST_SLOT + slots.length;
        ByteBuffer out = ByteBuffer.allocate(length);
        out.putShort((short) PREAMBLE).putShort((short) 0).put(ACN);
        out.putShort((short) (FLAGS | length - ROOT_AT))
                .putInt(ROOT_VECTOR)
                .putLong(source.getMostSignificantBits())
                .putLong(source.getLeastSignificantBits());
        out.putShort((short) (FLAGS | length - FRAMING_AT))
                .putInt(DATA_VECTOR)
                .put(Arrays.copyOf(name.getBytes(StandardCharsets.UTF_8), NAME_LENGTH));
        out.put((byte) priority)
                .putShort((short) 0)
                .put((byte) sequence)
                .put((byte) options(preview, terminated))
                .putShort((short) universe);
        out.putShort((short) (FLAGS | length - DMP_AT))
                .put((byte) DMP_VECTOR)
                .put((byte) DMP_TYPE)
                .putShort((short) 0)
                .putShort((short) 1);
        out.putShort((short) (slots.length + 1)).put((byte) 0).put(slots);
        return out.array();
    }

    private static int options(boolean preview, boolean terminated) {
        return (preview ? PREVIEW : 0) | (terminated ? TERMINATED : 0);
    }

    /** Renumbers an encoded packet for its next sending; its slots are written from {@link #FIRST_SLOT}. */
    public static void renumber(byte[] packet, int sequence, boolean terminated) {
        packet[SEQUENCE_AT] = (byte) sequence;
        packet[OPTIONS_AT] = (byte) ((packet[OPTIONS_AT] & PREVIEW) | options(false, terminated));
    }

    /**
     * Reads what came in.
     *
     * @param octets the datagram
     * @param length how much of the array it fills
     * @throws Refusal with what is wrong with it
     */
    public static SacnPacket decode(byte[] octets, int length) {
        require(
                length > FIRST_SLOT && length <= octets.length,
                "It has %d octets: a data packet has 127 to 638.".formatted(length));
        ByteBuffer in = ByteBuffer.wrap(octets, 0, length);
        require(
                in.getShort(0) == PREAMBLE
                        && in.getShort(2) == 0
                        && Arrays.equals(octets, 4, ROOT_AT, ACN, 0, ACN.length),
                "It does not begin as an ACN packet does.");
        require(in.getInt(18) == ROOT_VECTOR && in.getInt(40) == DATA_VECTOR, "It is not an E1.31 data packet.");
        int count = in.getShort(123) & 0xffff;
        require(
                count >= 2 && count <= UniverseFrame.SLOTS + 1 && START_CODE_AT + count <= length,
                "It says it has %d slots, and is cut short or too long.".formatted(count - 1));
        int end = START_CODE_AT + count;
        layer(in, ROOT_AT, end, "root");
        layer(in, FRAMING_AT, end, "framing");
        layer(in, DMP_AT, end, "DMP");
        require(
                octets[117] == DMP_VECTOR
                        && (octets[118] & BYTE) == DMP_TYPE
                        && in.getShort(119) == 0
                        && in.getShort(121) == 1,
                "Its DMP layer is not that of E1.31.");
        require(octets[START_CODE_AT] == 0, "Its START code is %d, not 0.".formatted(octets[START_CODE_AT] & BYTE));
        int nameEnd = 44;
        while (nameEnd < 44 + NAME_LENGTH - 1 && octets[nameEnd] != 0) {
            nameEnd++;
        }
        int options = octets[OPTIONS_AT] & BYTE;
        return new SacnPacket(
                new UUID(in.getLong(22), in.getLong(30)),
                new String(octets, 44, nameEnd - 44, StandardCharsets.UTF_8),
                octets[108] & BYTE,
                octets[SEQUENCE_AT] & BYTE,
                (options & PREVIEW) != 0,
                (options & TERMINATED) != 0,
                in.getShort(113) & 0xffff,
                Arrays.copyOfRange(octets, FIRST_SLOT, end));
    }

    private static void layer(ByteBuffer in, int at, int end, String name) {
        int said = in.getShort(at) & 0xffff;
        require(
                (said & ~LENGTH) == FLAGS && (said & LENGTH) == end - at,
                "The length of its %s layer is wrong.".formatted(name));
    }

    private static void require(boolean holds, String sentence) {
        if (!holds) {
            throw new Refusal("packet", sentence);
        }
    }

    /** The multicast group of a universe: {@code 239.255.hi.lo}. */
    public static String group(int universe) {
        return "239.255.%d.%d".formatted(universe >> 8 & BYTE, universe & BYTE);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof SacnPacket that && Arrays.equals(encode(), that.encode());
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(encode());
    }
}
