package org.oblume.rig;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.oblume.core.network.SacnPacket;

/** Through its two doors. */
class RunningRigTest {

    private static final String WREN =
            """
            [{"unit":"Wren","modes":"8-bit white: level, cct, tint","mode":"8-bit white","universe":1,"address":1,"lowestPercent":1,"warmUpSeconds":0,
              "ranges":{"kelvin":{"low":2700,"high":6500},"duv":{"low":-0.02,"high":0.02},"beamDeg":{"low":15,"high":50}},"menu":{"curve":"LINEAR","onLoss":"HOLD"}}]""";
    private final HttpClient http = HttpClient.newHttpClient();
    private final ObjectMapper json = new ObjectMapper();

    private HttpResponse<String> call(RunningRig rig, String method, String path, String body) throws Exception {
        return http.send(
                HttpRequest.newBuilder(URI.create(rig.url() + path))
                        .method(method, HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private JsonNode state(RunningRig rig) throws Exception {
        return json.readTree(call(rig, "GET", "/state", "").body());
    }

    @Test
    void whatIsSentOverLoopbackIsAnsweredOverHttp() throws Exception {
        try (RunningRig rig = RunningRig.start(0, 0);
                DatagramSocket socket = new DatagramSocket()) {
            assertThat(call(rig, "PUT", "/units", WREN).statusCode()).isEqualTo(200);
            byte[] levels = new byte[512];
            levels[0] = (byte) 255;
            for (int sequence = 0; state(rig).at("/packets/received").asInt() == 0; sequence++) {
                byte[] out = new SacnPacket(UUID.randomUUID(), "Oblume", 100, sequence & 255, false, false, 1, levels)
                        .encode();
                socket.send(new DatagramPacket(out, out.length, InetAddress.getLoopbackAddress(), rig.sacnPort()));
            }
            assertThat(state(rig).at("/units/0/answer/dialled/levelPercent").asDouble())
                    .isEqualTo(100);
            assertThat(state(rig).at("/sources/0/name").asText()).isEqualTo("Oblume");
        }
    }

    @Test
    void faultsAndNodesAreSetByName() throws Exception {
        try (RunningRig rig = RunningRig.start(0, 0)) {
            call(rig, "PUT", "/units", WREN);
            assertThat(call(rig, "POST", "/units/Wren/faults", "{\"kind\":\"NO_POWER\"}")
                            .statusCode())
                    .isEqualTo(200);
            assertThat(state(rig).at("/units/0/faults/0").asText()).isEqualTo("NO_POWER");
            call(rig, "DELETE", "/units/Wren/faults", "");
            assertThat(state(rig).at("/units/0/faults")).isEmpty();
            call(rig, "PUT", "/nodes", "[{\"name\":\"Cart node\",\"ports\":[1],\"up\":true}]");
            call(rig, "PUT", "/nodes/Cart%20node", "{\"up\":false}");
            assertThat(state(rig).at("/nodes/0/up").asBoolean()).isFalse();
        }
    }

    @Test
    void whatItDoesNotUnderstandIsAnsweredInASentence() throws Exception {
        try (RunningRig rig = RunningRig.start(0, 0)) {
            assertThat(call(rig, "POST", "/units/Nobody/faults", "{\"kind\":\"NO_POWER\"}")
                            .body())
                    .contains("There is no unit called Nobody");
            assertThat(call(rig, "PUT", "/units", "{").statusCode()).isEqualTo(400);
            assertThat(call(rig, "PUT", "/units", WREN.replace("\"address\":1", "\"address\":900"))
                            .body())
                    .contains("Address 900 is out of range");
            assertThat(call(rig, "GET", "/elsewhere", "").statusCode()).isEqualTo(404);
        }
    }
}
