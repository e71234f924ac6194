package org.oblume.rig;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.oblume.core.units.Refusal;

/** The rig with its two doors on loopback: sACN, and JSON over HTTP (docs/rig.md). */
public final class RunningRig implements AutoCloseable {

    private static final int LARGEST_BODY = 1 << 20;
    private static final int OK = 200;
    private static final int BAD = 400;
    private static final int NOT_FOUND = 404;

    private final ObjectMapper json = new ObjectMapper().setDefaultPropertyInclusion(JsonInclude.Include.NON_NULL);
    private final Rig rig;
    private final Receiver receiver;
    private final HttpServer http;

    /** @param up whether it works */
    record NodeUp(boolean up) {}

    private RunningRig(Rig rig, Receiver receiver, HttpServer http) {
        this.rig = rig;
        this.receiver = receiver;
        this.http = http;
    }

    /**
     * @param sacnPort UDP, 0 for any that is free
     * @param httpPort TCP, likewise
     */
    public static RunningRig start(int sacnPort, int httpPort) throws IOException {
        Rig rig = new Rig(System::nanoTime);
        HttpServer http = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), httpPort), 0);
        RunningRig running = new RunningRig(rig, new Receiver(rig, sacnPort), http);
        http.createContext("/", running::answer);
        http.start();
        return running;
    }

    public Rig rig() {
        return rig;
    }

    public int sacnPort() {
        return receiver.port();
    }

    /** {@code http://127.0.0.1:9080}. */
    public String url() {
        return "http://127.0.0.1:" + http.getAddress().getPort();
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            byte[] body = exchange.getRequestBody().readNBytes(LARGEST_BODY);
            try {
                String[] path =
                        exchange.getRequestURI().getRawPath().substring(1).split("/");
                String call = exchange.getRequestMethod() + " " + path[0] + (path.length > 2 ? " " + path[2] : "");
                String name = path.length > 1 ? URLDecoder.decode(path[1], StandardCharsets.UTF_8) : "";
                switch (call) {
                    case "GET state" -> {}
                    case "PUT units" -> rig.patchFixtures(json.readValue(body, new TypeReference<List<UnitSpec>>() {}));
                    case "PUT units settings" -> rig.set(name, json.readValue(body, UnitSpec.Settings.class));
                    case "POST units faults" -> rig.fail(name, json.readValue(body, Fault.class));
                    case "DELETE units faults" -> rig.clearFaults(name);
                    case "POST disturbances" -> rig.disturb(json.readValue(body, Disturbance.class));
                    case "PUT nodes" -> nodes(name, body);
                    default -> {
                        send(
                                exchange,
                                NOT_FOUND,
                                Map.of(
                                        "detail",
                                        "The rig does not know %s %s."
                                                .formatted(
                                                        exchange.getRequestMethod(),
                                                        exchange.getRequestURI().getPath())));
                        return;
                    }
                }
                send(exchange, OK, rig.state());
            } catch (Refusal refused) {
                send(exchange, BAD, Map.of("detail", String.valueOf(refused.getMessage())));
            } catch (JsonProcessingException unreadable) {
                send(
                        exchange,
                        BAD,
                        Map.of(
                                "detail",
                                unreadable.getCause() instanceof Refusal refused
                                        ? String.valueOf(refused.getMessage())
                                        : "The body is not what docs/rig.md says."));
            }
        }
    }

    private void nodes(String name, byte[] body) throws IOException {
        if (name.isEmpty()) {
            rig.connect(json.readValue(body, new TypeReference<List<Rig.VirtualNode>>() {}));
        } else {
            rig.nodeUp(name, json.readValue(body, NodeUp.class).up());
        }
    }

    private void send(HttpExchange exchange, int status, Object answer) throws IOException {
        byte[] out = json.writeValueAsBytes(answer);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(status, out.length);
        exchange.getResponseBody().write(out);
    }

    @Override
    public void close() {
        http.stop(0);
        receiver.close();
    }
}
