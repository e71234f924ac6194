package org.oblume.server;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.TextNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.core.env.Environment;
import org.springframework.http.HttpStatus;

/** The server as any client meets it: HTTP and JSON. Who asks is the best boy, with the role “crew”, unless it is said otherwise. */
@TestComponent
public class Api {

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final Environment environment;
    private final ObjectMapper json;
    private @Nullable String key;
    private final AtomicBoolean begun = new AtomicBoolean();

    @Autowired
    Api(Environment environment, ObjectMapper json) {
        this.environment = environment;
        this.json = json;
    }

    /** Somebody else's device: nobody has signed in there. */
    public Api stranger() {
        Api other = new Api(environment, json);
        other.begun.set(true);
        other.get("/api/session");
        return other;
    }

    /** The demo's person of that role, on a device of their own. */
    public Api as(String role) {
        Api other = stranger();
        other.post("/api/session/demo", "{\"role\":\"%s\"}".formatted(role));
        return other;
    }

    /** A new member, who joined by invitation, on a device of their own. */
    public Api joined(String name, String role) {
        String path = as("LEAD")
                .post("/api/team/invitations", "{\"role\":\"%s\"}".formatted(role))
                .body()
                .get("path")
                .asText();
        Api other = stranger();
        Answer answer = other.post(
                "/api/invitations" + path.substring("/join".length()),
                "{\"name\":\"%s\",\"passphrase\":\"salt marsh line\"}".formatted(name));
        if (answer.status() != 200) {
            throw new IllegalStateException(answer.toString());
        }
        return other;
    }

    /** The same person, whose browser is made to send what another site wants. */
    public Api withoutToken() {
        Api other = new Api(environment, json);
        other.begun.set(true);
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> !c.getName().equals("XSRF-TOKEN"))
                .forEach(c -> other.cookies.getCookieStore().add(address(""), c));
        return other;
    }

    /** What a server answers that is called by another name: the body, as it is. */
    public byte[] body(String host, String path) throws IOException {
        byte[] all = answer(host, path);
        String head = new String(all, StandardCharsets.ISO_8859_1);
        return java.util.Arrays.copyOfRange(all, head.indexOf("\r\n\r\n") + 4, all.length);
    }

    /** What a server answers that is called by another name, from its first line on. */
    public byte[] answer(String host, String path) throws IOException {
        signedIn();
        try (Socket socket = new Socket("localhost", address("").getPort())) {
            socket.getOutputStream()
                    .write("GET %s HTTP/1.1\r\nHost: %s\r\nCookie: %s\r\nConnection: close\r\n\r\n"
                            .formatted(path, host, cookies())
                            .getBytes(StandardCharsets.US_ASCII));
            return socket.getInputStream().readAllBytes();
        }
    }

    /** What this device sends as its cookies. */
    public String cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
    }

    /** The header that sets the cookie of a new session. */
    public String cookie() throws IOException, InterruptedException {
        return client
                .send(
                        request("/api/session/demo")
                                .POST(HttpRequest.BodyPublishers.ofString("{\"role\":\"READER\"}"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .headers()
                .allValues("Set-Cookie")
                .stream()
                .filter(c -> c.startsWith("OBLUME=") && !c.startsWith("OBLUME=;"))
                .reduce((a, b) -> b)
                .orElse("");
    }

    /** The same person and device, whose calls bear a key of their own. */
    public Api once(String key) {
        signedIn();
        Api other = new Api(environment, json);
        other.begun.set(true);
        other.key = key;
        cookies.getCookieStore()
                .getCookies()
                .forEach(c -> other.cookies.getCookieStore().add(address(""), c));
        return other;
    }

    /** Listens to what others do. */
    public Stream listen(String device) throws IOException, InterruptedException {
        return new Stream(client.send(
                        request("/api/live?device=" + device).GET().build(), HttpResponse.BodyHandlers.ofInputStream())
                .body());
    }

    /** Server-sent events, as they come. */
    public static final class Stream implements AutoCloseable {

        private final BufferedReader reader;

        Stream(InputStream body) {
            reader = new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8));
        }

        /** Waits for the next event of that name and answers its data. */
        public String next(String name) throws IOException {
            String event = "";
            for (String line = reader.readLine(); line != null; line = reader.readLine()) {
                if (line.startsWith("event:")) {
                    event = line.substring("event:".length());
                } else if (line.startsWith("data:") && event.equals(name)) {
                    return line.substring("data:".length());
                }
            }
            throw new IllegalStateException("The stream ended before " + name);
        }

        /** Waits for an event of that name that says so. */
        public void until(String name, String part) throws IOException {
            String data = next(name);
            while (!data.contains(part)) {
                data = next(name);
            }
        }

        @Override
        public void close() throws IOException {
            reader.close();
        }
    }

    private void signedIn() {
        if (begun.compareAndSet(false, true)) {
            Api joined = joined("best boy", "CREW");
            joined.cookies.getCookieStore().getCookies().forEach(c -> cookies.getCookieStore()
                    .add(address(""), c));
        }
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

    /** What is answered a line at a time, to the end. */
    public List<JsonNode> lines(String path, String body) throws IOException, InterruptedException {
        HttpResponse<String> answer = client.send(
                request(path).POST(HttpRequest.BodyPublishers.ofString(body)).build(),
                HttpResponse.BodyHandlers.ofString());
        List<JsonNode> lines = new ArrayList<>();
        for (String line : answer.body().split("\n", -1)) {
            if (!line.isEmpty()) {
                lines.add(json.readTree(line));
            }
        }
        return lines;
    }

    /** Sends a file as it is. */
    public Answer upload(String path, byte[] bytes) {
        return send(request(path)
                .setHeader("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes)));
    }

    /** A file that is got there. */
    public byte[] file(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = client.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
        if (answer.statusCode() != HttpStatus.OK.value()) {
            throw new IllegalStateException(
                    "%d: %s".formatted(answer.statusCode(), new String(answer.body(), StandardCharsets.UTF_8)));
        }
        return answer.body();
    }

    /**
     * A header of what is got there.
     *
     * @param asked headers of the request, names and values in turn
     */
    public String header(String path, String name, String... asked) throws IOException, InterruptedException {
        HttpRequest.Builder request = request(path).GET();
        return client.send(
                        (asked.length == 0 ? request : request.headers(asked)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .headers()
                .firstValue(name)
                .orElse("");
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
                .filter(s -> s.get("slate").asText().equals(slate))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    /** The shot of a slate in one scene. */
    public long shotIn(long sceneId, String slate) {
        return StreamSupport.stream(get("/api/book").body().findValues("scenes").spliterator(), false)
                .flatMap(scenes -> StreamSupport.stream(scenes.spliterator(), false))
                .filter(scene -> scene.get("id").asLong() == sceneId)
                .flatMap(scene -> StreamSupport.stream(scene.get("shots").spliterator(), false))
                .filter(s -> s.get("slate").asText().equals(slate))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    public long sceneOf(long shotId) {
        return get("/api/shots/" + shotId + "/plot").body().get("sceneId").asLong();
    }

    /** Makes a shot and answers its id. */
    public long shotFrom(String slate, long basedOnId) {
        Answer made = post(
                "/api/scenes/" + sceneOf(basedOnId) + "/shots",
                "{\"slate\":\"%s\",\"description\":\"\",\"stage\":\"PLANNED\",\"basedOnId\":%d}"
                        .formatted(slate, basedOnId));
        if (made.status() != 201) {
            throw new IllegalStateException(made.toString());
        }
        return made.body().get("id").asLong();
    }

    public Answer tie(long shotId, String placement, String attribute, String body, long version) {
        return put(path(shotId, placement, attribute), body, version);
    }

    public JsonNode placed(long shotId, String placement) {
        return StreamSupport.stream(
                        get("/api/shots/" + shotId + "/plot")
                                .body()
                                .get("placements")
                                .spliterator(),
                        false)
                .filter(p -> p.get("placement").get("key").asText().equals(placement))
                .findFirst()
                .orElseThrow();
    }

    public String say(long shotId, String placement, String attribute) {
        return placed(shotId, placement)
                .path("values")
                .path(attribute)
                .at("/say/metric")
                .asText();
    }

    public static String path(long shotId, String placement, String attribute) {
        return "/api/shots/%d/placements/%s/%s".formatted(shotId, placement, attribute);
    }

    private URI address(String path) {
        return URI.create("http://localhost:" + environment.getProperty("local.server.port") + path);
    }

    private HttpRequest.Builder versioned(String path, Long version) {
        HttpRequest.Builder request = request(path);
        return version == null ? request : request.header("If-Match", "\"" + version + "\"");
    }

    private HttpRequest.Builder request(String path) {
        signedIn();
        HttpRequest.Builder request = HttpRequest.newBuilder(address(path)).header("Content-Type", "application/json");
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .ifPresent(c -> request.header("X-XSRF-TOKEN", c.getValue()));
        if (key != null) {
            request.header("Idempotency-Key", key);
        }
        return request;
    }

    private static boolean isJson(HttpResponse<String> response) {
        return response.headers().firstValue("Content-Type").orElse("").contains("json");
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String body = response.body();
            return new Answer(
                    response.statusCode(),
                    isJson(response) && !body.isEmpty() ? json.readTree(body) : TextNode.valueOf(body),
                    response.headers().firstValue("ETag").orElse(""));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }
}
