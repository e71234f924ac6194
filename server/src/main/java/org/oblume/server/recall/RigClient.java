package org.oblume.server.recall;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.oblume.core.units.Refusal;
import org.oblume.server.support.RecordJson;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Asks the rig over its JSON interface. */
@Component
class RigClient {

    private static final Duration PATIENCE = Duration.ofSeconds(2);
    private static final int OK = 200;
    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(PATIENCE)
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private static final Duration FRESH = Duration.ofSeconds(1);
    private final String url;
    private final RecordJson json;
    private final AtomicBoolean looking = new AtomicBoolean();
    private volatile boolean answers;
    private volatile @Nullable Long askedAt;

    RigClient(@Value("${oblume.rig}") String url, RecordJson json) {
        this.url = url;
        this.json = json;
    }

    private Refusal silent() {
        answers = false;
        return new Refusal(
                url.isEmpty()
                        ? "No rig is set up here that could be asked."
                        : "The rig does not answer at %s: look whether it runs.".formatted(url));
    }

    /** Its state; empty when there is none that answers. */
    Optional<RigState> state() {
        try {
            return Optional.of(ask());
        } catch (Refusal silence) {
            return Optional.empty();
        }
    }

    /** Whether it answered when it was last asked; it is asked anew in the background, waited for only the first time. */
    boolean lastAnswered() {
        if (askedAt == null) {
            return state().isPresent();
        }
        if (System.nanoTime() - askedAt > FRESH.toNanos() && looking.compareAndSet(false, true)) {
            var unused = CompletableFuture.runAsync(this::state).whenComplete((done, failed) -> looking.set(false));
        }
        return answers;
    }

    /** @throws Refusal when it does not answer */
    RigState ask() {
        return call("GET", "/state", null);
    }

    RigState patchFixtures(List<RigUnitSpec> units, List<RigState.RigNode> nodes) {
        call("PUT", "/units", units);
        return call("PUT", "/nodes", nodes);
    }

    RigState set(String unit, RigUnitSpec.Settings settings) {
        return call("PUT", "/units/" + encoded(unit) + "/settings", settings);
    }

    RigState fail(String unit, JsonNode fault) {
        return call("POST", "/units/" + encoded(unit) + "/faults", fault);
    }

    RigState clearFaults(String unit) {
        return call("DELETE", "/units/" + encoded(unit) + "/faults", null);
    }

    RigState node(String name, boolean up) {
        return call("PUT", "/nodes/" + encoded(name), new NodeIs(up));
    }

    /** Another source, noise: what a network can do to us. */
    RigState disturb(JsonNode disturbance) {
        return call("POST", "/disturbances", disturbance);
    }

    private record NodeIs(boolean up) {}

    private static String encoded(String name) {
        return URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private RigState call(String method, String path, @Nullable Object body) {
        if (url.isEmpty()) {
            throw silent();
        }
        askedAt = System.nanoTime();
        HttpRequest request = HttpRequest.newBuilder(URI.create(url + path))
                .timeout(PATIENCE)
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString(json.write(body)))
                .build();
        try {
            HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != OK) {
                throw new Refusal(json.read(answer.body(), Refused.class).detail());
            }
            answers = true;
            return json.read(answer.body(), RigState.class);
        } catch (IOException | IllegalStateException gone) {
            throw silent();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw silent();
        }
    }

    private record Refused(String detail) {}
}
