package org.oblume.rig;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.SocketException;

/** Takes datagrams off the loopback for the rig. */
final class Receiver implements AutoCloseable {

    private static final int LARGEST = 1500;
    private static final int BUFFER = 1 << 21;
    private final DatagramSocket socket;

    /** @param port 0 for any that is free */
    Receiver(Rig rig, int port) throws SocketException {
        socket = new DatagramSocket(null);
        socket.setReceiveBufferSize(BUFFER);
        socket.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        Thread thread = new Thread(() -> listen(rig), "rig sACN");
        thread.setDaemon(true);
        thread.start();
    }

    private void listen(Rig rig) {
        DatagramPacket packet = new DatagramPacket(new byte[LARGEST], LARGEST);
        while (!socket.isClosed()) {
            try {
                packet.setLength(LARGEST);
                socket.receive(packet);
                rig.receive(packet.getData(), packet.getLength());
            } catch (SocketException closed) {
                return;
            } catch (IOException oneFrameLess) {
                // The next datagram is waited for.
            }
        }
    }

    int port() {
        return socket.getLocalPort();
    }

    @Override
    public void close() {
        socket.close();
    }
}
