package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Whoever sends half or does not read holds up nobody else. */
@ServerTest
class SlowClientsTest {

    /** Any page waits less for an answer before it says that there is none. */
    private static final int SOON_S = 20;

    @Autowired
    private Api api;

    @LocalServerPort
    private int port;

    private final List<Socket> open = new ArrayList<>();

    @AfterEach
    void hangUp() throws IOException {
        for (Socket socket : open) {
            socket.close();
        }
    }

    @Test
    @Timeout(SOON_S)
    void manyHalfSentBodiesOfStrangersLeaveRoomForTheCrew() throws IOException {
        for (int i = 0; i < 250; i++) {
            say(
                    connect(64 * 1024),
                    "POST /api/bench/read HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{\"items\":");
        }
        assertThat(api.get("/api/book").status()).isEqualTo(200);
    }

    @Test
    @Timeout(SOON_S)
    void oneThatDoesNotReadKeepsNobodyElseFromHearing() throws Exception {
        Api crew = api.joined("hears", "CREW");
        // its receive window is full after a few events
        Socket deaf = connect(2048);
        say(
                deaf,
                "GET /api/live?device=%s HTTP/1.1\r\nHost: localhost\r\nCookie: %s\r\n\r\n"
                        .formatted("d".repeat(60), api.as("READER").cookies()));
        List<Api.Stream> streams = new ArrayList<>();
        try (Api.Stream hears = crew.listen("hears")) {
            hears.until("presence", "d".repeat(60));
            for (int i = 0; i < 10; i++) {
                streams.add(crew.listen("x".repeat(58) + i));
            }
            long shot = api.shot("4C");
            for (int i = 0; i < 900; i++) {
                crew.put("/api/live/hears", "{\"shotId\":%d}".formatted(i % 2 == 0 ? shot : shot + 1), null);
            }
            crew.put("/api/live/hears", "{\"shotId\":424242}", null);
            hears.until("presence", "\"shotId\":424242");
        } finally {
            for (Api.Stream stream : streams) {
                stream.close();
            }
        }
    }

    private Socket connect(int window) throws IOException {
        Socket socket = new Socket();
        socket.setReceiveBufferSize(window);
        socket.connect(new InetSocketAddress("localhost", port));
        open.add(socket);
        return socket;
    }

    private static void say(Socket socket, String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
    }
}
