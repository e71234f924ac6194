package org.oblume.core.network;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.oblume.core.units.Refusal;

/**
 * An IPv4 address or mask.
 *
 * @param bits in network order
 */
public record Ipv4(int bits) {

    private static final Pattern DOTTED = Pattern.compile("(\\d{1,3})\\.(\\d{1,3})\\.(\\d{1,3})\\.(\\d{1,3})");
    private static final int BYTE = 255;

    /**
     * Reads {@code 10.0.0.21}.
     *
     * @param field the input, named when it is refused
     */
    public static Ipv4 parse(String field, String text) {
        Matcher m = DOTTED.matcher(text.strip());
        int bits = 0;
        boolean reads = m.matches();
        for (int part = 1; reads && part <= m.groupCount(); part++) {
            int octet = Integer.parseInt(m.group(part));
            reads = octet <= BYTE;
            bits = bits << 8 | octet;
        }
        if (!reads) {
            throw new Refusal(
                    field,
                    "“%s” is not an address: give four numbers from 0 to 255, such as 10.0.0.21.".formatted(text));
        }
        return new Ipv4(bits);
    }

    /** Whether it is a mask: ones, then zeros, and neither all nor none of it. */
    public boolean isMask() {
        int zeros = ~bits;
        return bits != 0 && zeros != 0 && (zeros & zeros + 1) == 0;
    }

    /** Whether this and another address are in the same network. */
    public boolean sharesNetwork(Ipv4 other, Ipv4 mask) {
        return (bits & mask.bits) == (other.bits & mask.bits);
    }

    /** Whether it names the network itself, or all in it, rather than one device. */
    public boolean isNetworkOrBroadcast(Ipv4 mask) {
        int host = bits & ~mask.bits;
        return host == 0 || host == ~mask.bits;
    }

    /** {@code 10.0.0.21}. */
    public String print() {
        return "%d.%d.%d.%d".formatted(bits >>> 24, bits >>> 16 & BYTE, bits >>> 8 & BYTE, bits & BYTE);
    }
}
