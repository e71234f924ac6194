package org.oblume.server.support;

import java.io.IOException;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;

/** What this machine is called on its networks. */
public final class Machine {

    private Machine() {}

    /** Its own, as machines on the same network find it. */
    public static Set<String> names() {
        Set<String> names = new TreeSet<>(Set.of("localhost"));
        try {
            String own = InetAddress.getLocalHost().getHostName().toLowerCase(Locale.ROOT);
            if (own.matches("[a-z0-9]([a-z0-9.-]*[a-z0-9])?") && own.matches(".*[a-z].*")) {
                names.add(own.replaceAll("\\..*", "") + ".local");
            }
        } catch (IOException nameless) {
            return names;
        }
        return names;
    }

    /** Of the fourth version, loopback included. */
    public static List<InetAddress> addresses() {
        try {
            return NetworkInterface.networkInterfaces()
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(Inet4Address.class::isInstance)
                    .toList();
        } catch (IOException none) {
            return List.of(InetAddress.getLoopbackAddress());
        }
    }
}
