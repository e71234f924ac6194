package org.oblume.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.stream.Collectors;

/** Someone who uses Oblume over HTTP, without a browser, signed in as in one. */
final class Person {

    private static final Duration LONGEST_ANSWER = Duration.ofSeconds(60);
    static final String PASSPHRASE = "salt marsh line";
    private final ObjectMapper json = new ObjectMapper();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private String address;

    private Person(String address) {
        this.address = address;
    }

    /**
     * An answer.
     *
     * @param body missing when there is none
     */
    record Answer(int status, JsonNode body) {}

    /** Whoever makes the first account of an empty Oblume. */
    static Person lead(RunningOblume oblume) throws IOException, InterruptedException {
        Person person = stranger(oblume);
        person.expect(
                200,
                person.send(
                        "POST",
                        "/api/session/first",
                        "{\"name\":\"gaffer\",\"passphrase\":\"%s\"}".formatted(PASSPHRASE),
                        null));
        return person;
    }

    /** One of the demo's people, by role. */
    static Person ofTheDemo(RunningOblume oblume, String role) throws IOException, InterruptedException {
        Person person = stranger(oblume);
        person.post("/api/session/demo", "{\"role\":\"%s\"}".formatted(role));
        return person;
    }

    /** Id of the shot of that slate. */
    long shot(String slate) throws IOException, InterruptedException {
        for (JsonNode shots : get("/api/book").findValues("shots")) {
            for (JsonNode shot : shots) {
                if (shot.get("slate").asText().equals(slate)) {
                    return shot.get("id").asLong();
                }
            }
        }
        throw new IllegalStateException("There is no shot " + slate);
    }

    /** Someone who has not signed in. */
    static Person stranger(RunningOblume oblume) throws IOException, InterruptedException {
        Person person = new Person(oblume.address());
        person.send("GET", "/api/session", null, null);
        return person;
    }

    /** Someone whom this lead invites. */
    Person invites(String name, String role) throws IOException, InterruptedException {
        String link = expect(201, send("POST", "/api/team/invitations", "{\"role\":\"%s\"}".formatted(role), null))
                .get("path")
                .asText();
        Person person = new Person(address);
        person.send("GET", "/api/session", null, null);
        person.expect(
                200,
                person.send(
                        "POST",
                        "/api/invitations" + link.substring("/join".length()),
                        "{\"name\":\"%s\",\"passphrase\":\"%s\"}".formatted(name, PASSPHRASE),
                        null));
        return person;
    }

    /** Goes on at a server that was started again; the session holds. */
    void goOnAt(RunningOblume oblume) {
        address = oblume.address();
    }

    JsonNode get(String path) throws IOException, InterruptedException {
        return expect(200, send("GET", path, null, null));
    }

    JsonNode post(String path, String body) throws IOException, InterruptedException {
        Answer answer = send("POST", path, body, null);
        if (answer.status() >= 300) {
            throw new IllegalStateException(path + " " + answer);
        }
        return answer.body();
    }

    /** Sends the content of a file. */
    JsonNode upload(String path, byte[] content) throws IOException, InterruptedException {
        return expect(
                201,
                send(request(path, null, "application/octet-stream")
                        .POST(BodyPublishers.ofByteArray(content))
                        .build()));
    }

    byte[] download(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = client.send(request(path, null).build(), BodyHandlers.ofByteArray());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(path + " " + answer.statusCode());
        }
        return answer.body();
    }

    Answer put(String path, String body, long version, String device) throws IOException, InterruptedException {
        return send(request(path, device)
                .header("If-Match", "\"" + version + "\"")
                .PUT(BodyPublishers.ofString(body))
                .build());
    }

    Answer send(String method, String path, String body, String device) throws IOException, InterruptedException {
        return send(request(path, device)
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body))
                .build());
    }

    private Answer send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> answer = client.send(request, BodyHandlers.ofString());
        return new Answer(
                answer.statusCode(), answer.body().isEmpty() ? json.missingNode() : json.readTree(answer.body()));
    }

    /** Whatever that is answered with; without a body when that is null. */
    HttpResponse<byte[]> answer(String method, String path, Map<String, String> headers, byte[] body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = request(path, null)
                .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofByteArray(body))
                .timeout(LONGEST_ANSWER);
        headers.forEach(request::setHeader);
        return client.send(request.build(), BodyHandlers.ofByteArray());
    }

    /** What the browser of this person sends to be known. */
    String cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
    }

    /** The stream of what others do. */
    BufferedReader listen(String device) throws IOException, InterruptedException {
        return new BufferedReader(new InputStreamReader(
                client.send(request("/api/live?device=" + device, null).GET().build(), BodyHandlers.ofInputStream())
                        .body(),
                StandardCharsets.UTF_8));
    }

    private HttpRequest.Builder request(String path, String device) {
        return request(path, device, "application/json");
    }

    private HttpRequest.Builder request(String path, String device, String type) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(address + path)).header("Content-Type", type);
        cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .ifPresent(c -> request.header("X-XSRF-TOKEN", c.getValue()));
        return device == null ? request : request.header("Oblume-Device", device);
    }

    private JsonNode expect(int status, Answer answer) {
        if (answer.status() != status) {
            throw new IllegalStateException(answer.toString());
        }
        return answer.body();
    }
}
