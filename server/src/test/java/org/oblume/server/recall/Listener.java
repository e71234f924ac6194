package org.oblume.server.recall;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.ArrayList;
import java.util.List;
import org.oblume.core.network.SacnPacket;

/** Takes down every packet that comes in on loopback, and when. */
final class Listener implements AutoCloseable {

    private final DatagramSocket socket;
    private final List<Heard> heard = new ArrayList<>();

    record Heard(long nanos, SacnPacket packet) {}

    Listener() {
        try {
            socket = new DatagramSocket(null);
            socket.setReceiveBufferSize(1 << 22);
            socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
        Thread thread = new Thread(this::listen, "test listener");
        thread.setDaemon(true);
        thread.start();
    }

    private void listen() {
        DatagramPacket packet = new DatagramPacket(new byte[1500], 1500);
        try {
            while (true) {
                packet.setLength(1500);
                socket.receive(packet);
                long now = System.nanoTime();
                SacnPacket read = SacnPacket.decode(packet.getData(), packet.getLength());
                synchronized (heard) {
                    heard.add(new Heard(now, read));
                }
            }
        } catch (IOException closed) {
            Thread.currentThread().interrupt();
        }
    }

    int port() {
        return socket.getLocalPort();
    }

    List<Heard> all() {
        synchronized (heard) {
            return List.copyOf(heard);
        }
    }

    @Override
    public void close() {
        socket.close();
    }
}
