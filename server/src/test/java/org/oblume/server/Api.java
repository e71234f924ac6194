package org.oblume.server;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.stream.StreamSupport;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.core.env.Environment;

/** The server as any client meets it: HTTP and JSON. */
@TestComponent
public class Api {

    private final HttpClient client = HttpClient.newHttpClient();
    private final Environment environment;
    private final ObjectMapper json;

    Api(Environment environment, ObjectMapper json) {
        this.environment = environment;
        this.json = json;
    }

    public record Answer(int status, JsonNode body, String etag) {

        public String detail() {
            return body.path("detail").asText();
        }
    }

    public Answer get(String path) {
        return send(request(path).GET());
    }

    public Answer post(String path, String body) {
        return send(request(path).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Sends a file as it is. */
    public Answer upload(String path, byte[] bytes) {
        return send(request(path).setHeader("Content-Type", "application/octet-stream").POST(HttpRequest.BodyPublishers.ofByteArray(bytes)));
    }

    /** A header of what is got there. */
    public String header(String path, String name) throws IOException, InterruptedException {
        return client.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofString()).headers().firstValue(name).orElse("");
    }

    public Answer put(String path, String body, Long version) {
        return send(versioned(path, version).PUT(HttpRequest.BodyPublishers.ofString(body)));
    }

    public Answer delete(String path, Long version) {
        return send(versioned(path, version).DELETE());
    }

    /** Id of a demo shot. */
    public long shot(String slate) {
        return StreamSupport.stream(get("/api/book").body().findValues("shots").spliterator(), false)
                .flatMap(shots -> StreamSupport.stream(shots.spliterator(), false))
                .filter(s -> s.get("slate").asText().equals(slate)).findFirst().orElseThrow().get("id").asLong();
    }

    public long sceneOf(long shotId) {
        return get("/api/shots/" + shotId + "/plot").body().get("sceneId").asLong();
    }

    /** Makes a shot and answers its id. */
    public long shotFrom(String slate, long basedOnId) {
        Answer made = post("/api/scenes/" + sceneOf(basedOnId) + "/shots",
                "{\"slate\":\"%s\",\"description\":\"\",\"stage\":\"PLANNED\",\"basedOnId\":%d}".formatted(slate, basedOnId));
        if (made.status() != 201) {
            throw new IllegalStateException(made.toString());
        }
        return made.body().get("id").asLong();
    }

    public Answer tie(long shotId, String placement, String attribute, String body, long version) {
        return put(path(shotId, placement, attribute), body, version);
    }

    public JsonNode placed(long shotId, String placement) {
        return StreamSupport.stream(get("/api/shots/" + shotId + "/plot").body().get("placements").spliterator(), false)
                .filter(p -> p.get("placement").get("key").asText().equals(placement)).findFirst().orElseThrow();
    }

    public String say(long shotId, String placement, String attribute) {
        return placed(shotId, placement).path("values").path(attribute).path("say").asText();
    }

    public static String path(long shotId, String placement, String attribute) {
        return "/api/shots/%d/placements/%s/%s".formatted(shotId, placement, attribute);
    }

    private HttpRequest.Builder versioned(String path, Long version) {
        HttpRequest.Builder request = request(path);
        return version == null ? request : request.header("If-Match", "\"" + version + "\"");
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://localhost:" + environment.getProperty("local.server.port") + path))
                .header("Content-Type", "application/json").header("Oblume-Author", "best%20boy");
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String body = response.body();
            return new Answer(response.statusCode(), body.isEmpty() ? json.missingNode() : json.readTree(body),
                    response.headers().firstValue("ETag").orElse(""));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }
}
