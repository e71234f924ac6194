package org.oblume.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.oblume.e2e.Interface.Call;
import org.oblume.rig.RunningRig;

/**
 * Attacks a server of its own, from outside, for a few minutes: {@code ./oblume attack}. Another seed finds other things: {@code -Doblume.seed}.
 */
@Tag("attack")
class AttackIT {

    private static final long SEED = Long.getLong("oblume.seed", Instant.now().getEpochSecond());
    private static final Duration FUZZED_FOR = Duration.ofSeconds(Integer.getInteger("oblume.fuzz", 120));
    private static final int ATTACKERS = 4;
    private static final int IMPORTS = 150;
    private static final int FEW = 25;
    private static final long SOON_MS = 3000;
    private static final int MEGABYTE = 1 << 20;
    private static final int MOST_MEMORY_MB = 120;

    /** They never end, or end the attack: what they allow is tested where they are tested. */
    private static final Set<String> LEFT_OUT = Set.of(
            "GET /api/live",
            "PUT /api/team/{id}",
            "DELETE /api/team/{id}",
            "PUT /api/session/passphrase",
            "POST /api/copies");

    private static final byte[] EMPTY = "{}".getBytes(StandardCharsets.UTF_8);
    private static final Path TABLE = Path.of("../server/src/test/resources/permissions.csv");
    private static final List<String> SHOWN = List.of(
            "/plot",
            "/notes",
            "/takes",
            "/history",
            "/rebuild",
            "/patch",
            "/power",
            "/readings",
            "/paper/plot.svg",
            "/paper/sheet.csv");

    /** What each role may: said here once more, not taken from the server. */
    private enum Role {
        LEAD("READ", "NOTE", "PATCH", "EDIT", "LEAD"),
        CREW("READ", "NOTE", "PATCH", "EDIT"),
        CONTROL("READ", "NOTE", "PATCH"),
        CONTINUITY("READ", "NOTE"),
        READER("READ"),
        NOBODY;

        private final Set<String> may;

        Role(String... may) {
            this.may = Set.of(may);
        }
    }

    private static RunningRig rig;
    private static RunningOblume oblume;
    private static Interface known;

    private Person lead;
    private final Findings findings = new Findings();

    /** Whoever was signed out by an attack signs in again. */
    @BeforeEach
    void signIn() throws Exception {
        lead = Person.ofTheDemo(oblume, "LEAD");
    }

    @BeforeAll
    static void start() throws Exception {
        rig = RunningRig.start(0, 0);
        oblume = RunningOblume.withRig(RunningOblume.newData(), rig);
        known = new Interface(Person.ofTheDemo(oblume, "LEAD").get("/v3/api-docs"));
        said("seed " + SEED);
    }

    @AfterAll
    static void stop() throws IOException {
        oblume.close();
        Files.writeString(Path.of("target/attacked.log"), oblume.log());
        rig.close();
    }

    /** The table that the server's own test goes by, over the wire. */
    @ParameterizedTest
    @EnumSource(Role.class)
    void aRoleDoesWhatItIsForAndNothingElse(Role role) throws Exception {
        Person person = role == Role.NOBODY ? Person.stranger(oblume) : Person.ofTheDemo(oblume, role.name());
        for (String line : Files.readAllLines(TABLE)) {
            String[] part = line.split(" ");
            if (part[1].startsWith("/api/session") || part[1].equals("/api/live")) {
                continue;
            }
            // about nothing that there is, so that nothing is changed
            String path = part[1].replace("{attribute}", "PATCH")
                    .replaceAll("\\{(\\w*[iI]d|run)}", "0")
                    .replaceAll("\\{\\w+}", "none");
            int status = ask(person, part[0], path, Map.of(), part[0].equals("GET") ? null : EMPTY)
                    .statusCode();
            boolean refused = status == (role == Role.NOBODY ? 401 : 403);
            if (refused == (part[2].equals("ANYONE") || role.may.contains(part[2]))) {
                findings.found(line, "by " + role + " gets " + status, path, "");
            }
        }
        findings.none();
    }

    @Test
    void whateverIsSentIsAnsweredWithASentence() throws Exception {
        List<Call> calls = known.calls().stream()
                .filter(call -> !LEFT_OUT.contains(call.toString()))
                .toList();
        long before = liveMegabytes();
        Instant end = Instant.now().plus(FUZZED_FOR);
        List<CompletableFuture<Integer>> attackers = new ArrayList<>();
        for (int i = 0; i < ATTACKERS; i++) {
            long seed = SEED + i;
            attackers.add(CompletableFuture.supplyAsync(() -> fuzz(calls, seed, end)));
        }
        int sent = 0;
        for (CompletableFuture<Integer> attacker : attackers) {
            sent += attacker.get(FUZZED_FOR.toSeconds() + 120, TimeUnit.SECONDS);
        }
        said("%d calls of %d kinds, answered %s".formatted(sent, calls.size(), findings.summary()));
        allIsReadable();
        long grown = liveMegabytes() - before;
        said("%d MB live before, %d more after".formatted(before, grown));
        if (grown > MOST_MEMORY_MB) {
            findings.found("all", "memory grows by " + grown + " MB", "", "");
        }
        findings.none();
    }

    private int fuzz(List<Call> calls, long seed, Instant end) {
        Random random = new Random(seed);
        Malice malice = new Malice(known, random);
        int sent = 0;
        try {
            Person person = Person.ofTheDemo(oblume, "LEAD");
            while (Instant.now().isBefore(end)) {
                Call call = calls.get(random.nextInt(calls.size()));
                Map<String, String> headers = new HashMap<>();
                headers.put("If-Match", malice.version());
                headers.put("Content-Type", call.file() ? "application/octet-stream" : "application/json");
                if (random.nextInt(20) == 0) {
                    headers.put("Idempotency-Key", "k".repeat(random.nextInt(300)));
                    headers.put("Oblume-Device", "d".repeat(1 + random.nextInt(300)));
                    headers.put("Content-Type", "text/plain");
                }
                boolean bodiless = call.body().isMissingNode() && !call.file();
                int status = ask(person, call.method(), malice.path(call), headers, bodiless ? null : malice.body(call))
                        .statusCode();
                if (status == 401 && !call.path().startsWith("/api/session")) {
                    person = Person.ofTheDemo(oblume, "LEAD");
                }
                sent++;
            }
        } catch (IOException gone) {
            findings.found("all", "no answer", "", gone.toString());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return sent;
    }

    /** Whatever was let in is shown: the book, and of each shot what its pages ask for. */
    private void allIsReadable() throws Exception {
        Person person = Person.ofTheDemo(oblume, "READER");
        List<Long> shots = new ArrayList<>();
        for (JsonNode list : person.get("/api/book").findValues("shots")) {
            list.forEach(shot -> shots.add(shot.get("id").asLong()));
        }
        assertThat(shots).isNotEmpty();
        for (long shot : shots) {
            for (String page : SHOWN) {
                HttpResponse<byte[]> answer = ask(person, "GET", "/api/shots/" + shot + page, Map.of(), null);
                if (answer.statusCode() != 200) {
                    findings.found(
                            "GET " + page,
                            "is not shown any more",
                            "" + shot,
                            new String(answer.body(), StandardCharsets.UTF_8));
                }
            }
            ask(
                    person,
                    "POST",
                    "/api/shots/" + shot + "/light",
                    Map.of(),
                    "{\"changes\":[],\"holds\":[],\"out\":[]}".getBytes(StandardCharsets.UTF_8));
        }
    }

    /** A scene's file with one part of it spoilt is refused with a sentence, or all of it is shown. */
    @Test
    void whatIsImportedIsRefusedOrShown() throws Exception {
        Malice malice = new Malice(known, new Random(SEED));
        JsonNode scene = lead.get("/api/scenes/1/export");
        int taken = 0;
        for (int i = 0; i < IMPORTS; i++) {
            byte[] file = malice.spoiled(scene).toString().getBytes(StandardCharsets.UTF_8);
            String number = "9%03d".formatted(i);
            if (ask(lead, "POST", "/api/scenes/import?number=" + number, Map.of(), file)
                            .statusCode()
                    == 201) {
                taken++;
            }
        }
        said("%d spoilt scenes, %d of them taken".formatted(IMPORTS, taken));
        allIsReadable();
        findings.none();
    }

    @Test
    void filesAreToldByWhatIsInThem() throws Exception {
        for (String path : List.of(
                "/api/sets/1/pictures",
                "/api/sets/1/photos",
                "/api/shots/1/photos",
                "/api/shots/1/patch/read",
                "/api/kit/beam")) {
            for (Map.Entry<String, byte[]> file : EvilFiles.all().entrySet()) {
                Instant from = Instant.now();
                HttpResponse<byte[]> answer =
                        lead.answer("POST", path, Map.of("Content-Type", "application/octet-stream"), file.getValue());
                findings.judge("POST " + path, file.getKey(), answer, Duration.between(from, Instant.now()));
                if (answer.statusCode() < 300 && path.endsWith("s") && !EvilFiles.MAY_BE_KEPT.contains(file.getKey())) {
                    findings.found(
                            "POST " + path,
                            "keeps " + file.getKey(),
                            "",
                            new String(answer.body(), StandardCharsets.UTF_8));
                }
            }
        }
        findings.none();
    }

    /** Those who send half, do not read, or ask for all there is, do not keep the crew waiting. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "POST /api/bench/read HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{\"items\":",
                "GET /api/book HTTP/1.1\r\nHost: localhost\r\nX-Long: ",
                "GET /api/live?device=d HTTP/1.1\r\nHost: localhost\r\n{cookie}\r\n",
                "POST /api/shots/1/notes HTTP/1.1\r\nHost: localhost\r\n{cookie}Idempotency-Key: k\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{",
                "GET /api/scenes/1/export HTTP/1.1\r\nHost: localhost\r\n{cookie}\r\n",
                "\u0000\u0000\u0016\u0003\u0001"
            })
    void aCrowdOfSlowClientsKeepsNobodyWaiting(String half) throws Exception {
        Person reader = Person.ofTheDemo(oblume, "READER");
        String asked = half.replace("{cookie}", "Cookie: " + reader.cookies() + "\r\n");
        List<Socket> crowd = new ArrayList<>();
        try {
            for (int i = 0; i < 250; i++) {
                Socket socket = new Socket();
                socket.setReceiveBufferSize(2048);
                socket.connect(new InetSocketAddress(
                        "localhost", URI.create(oblume.address()).getPort()));
                crowd.add(socket);
                socket.getOutputStream().write(asked.getBytes(StandardCharsets.ISO_8859_1));
                socket.getOutputStream().flush();
            }
            long longest = 0;
            for (int i = 0; i < FEW; i++) {
                Instant from = Instant.now();
                assertThat(ask(lead, "GET", "/api/book", Map.of(), null).statusCode())
                        .isEqualTo(200);
                lead.post("/api/shots/1/notes", "{\"text\":\"while they wait\"}");
                longest =
                        Math.max(longest, Duration.between(from, Instant.now()).toMillis());
            }
            said("%d × “%s”: the book and a note in at most %d ms"
                    .formatted(
                            crowd.size(),
                            half.substring(0, Math.min(24, half.length())).strip(),
                            longest));
            if (longest > SOON_MS) {
                findings.found(half, "keeps the crew waiting for " + longest + " ms", "", "");
            }
        } finally {
            for (Socket socket : crowd) {
                socket.close();
            }
        }
        findings.none();
    }

    private HttpResponse<byte[]> ask(
            Person person, String method, String path, Map<String, String> headers, byte[] body)
            throws IOException, InterruptedException {
        Instant from = Instant.now();
        HttpResponse<byte[]> answer = person.answer(method, path, headers, body);
        findings.judge(
                method + " " + path.replaceAll("\\?.*", "").replaceAll("/\\d+", "/#"),
                path + " " + headers + (body == null ? "" : " " + new String(body, StandardCharsets.UTF_8)),
                answer,
                Duration.between(from, Instant.now()));
        return answer;
    }

    /** After a full collection. */
    private static long liveMegabytes() throws Exception {
        String jcmd = Path.of(System.getProperty("java.home"), "bin", "jcmd").toString();
        Process histogram = new ProcessBuilder(jcmd, "" + oblume.pid(), "GC.class_histogram").start();
        String total = histogram
                .inputReader()
                .lines()
                .filter(line -> line.startsWith("Total"))
                .findFirst()
                .orElseThrow();
        return Long.parseLong(total.strip().split("\\s+")[2]) / MEGABYTE;
    }

    private static void said(String line) {
        System.out.println("ATTACK " + line);
    }
}
