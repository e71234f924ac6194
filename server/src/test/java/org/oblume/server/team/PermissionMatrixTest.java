package org.oblume.server.team;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.oblume.server.Api;
import org.oblume.server.ServerTest;
import org.oblume.server.call.Permission;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.ClassPathResource;

/** Every call of the OpenAPI document, by every role and by nobody: what {@code permissions.csv} says, and no more. */
@ServerTest
class PermissionMatrixTest {

    private static final String ANYONE = "ANYONE";
    private static final String NOBODY = "NOBODY";

    /** It never ends; who may listen is tested where it is listened to. */
    private static final String STREAM = "/api/live";

    @Autowired
    private Api api;

    private record Call(String method, String path, String needs) {

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    private static List<Call> calls() throws IOException {
        return new ClassPathResource("permissions.csv")
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .map(line -> line.split(" "))
                .map(part -> new Call(part[0], part[1], part[2]))
                .toList();
    }

    static Stream<String> people() {
        return Stream.concat(Stream.of(NOBODY), Arrays.stream(TeamRole.values()).map(Enum::name));
    }

    @Test
    void everyCallThatThereIsStandsInTheTable() throws IOException {
        List<String> documented = new ArrayList<>();
        api.get("/v3/api-docs").body().get("paths").properties().forEach(path -> path.getValue()
                .fieldNames()
                .forEachRemaining(method -> documented.add(method.toUpperCase(Locale.ROOT) + " " + path.getKey())));
        assertThat(calls().stream().map(Call::toString)).containsExactlyInAnyOrderElementsOf(documented);
    }

    @ParameterizedTest
    @MethodSource("people")
    void aRoleMayDoWhatItIsForAndNothingElse(String role) throws IOException {
        List<String> wrong = new ArrayList<>();
        Api person = signedIn(role);
        for (Call call : calls()) {
            if (call.path().equals(STREAM)) {
                continue;
            }
            int status = send(person, call);
            boolean allowed = call.needs().equals(ANYONE)
                    || (!role.equals(NOBODY) && TeamRole.valueOf(role).allows(Permission.valueOf(call.needs())));
            int refusal = role.equals(NOBODY) ? 401 : 403;
            // Signing in with nothing is refused too, by another rule: what it takes is a name and a passphrase.
            if (allowed == (status == refusal) && !call.path().startsWith("/api/session")) {
                wrong.add("%s by %s: %d".formatted(call, role, status));
            }
            if (call.path().startsWith("/api/session")) {
                person = signedIn(role);
            }
        }
        assertThat(wrong).isEmpty();
    }

    private Api signedIn(String role) {
        return role.equals(NOBODY) ? api.stranger() : api.as(role);
    }

    /** About nothing that there is: whoever is let through finds nothing, so that nothing is changed. */
    private static int send(Api person, Call call) {
        String path = call.path()
                .replace("{attribute}", "PATCH")
                .replaceAll("\\{(\\w*[iI]d|run)}", "0")
                .replaceAll("\\{\\w+}", "none");
        return switch (call.method()) {
            case "POST" -> person.post(path, "{}").status();
            case "PUT" -> person.put(path, "{}", null).status();
            case "DELETE" -> person.delete(path, null).status();
            default -> person.get(path).status();
        };
    }

    @Test
    void theDocumentOfTheInterfaceIsForTheCrewAndUnknownAddressesAreNobodys() {
        assertThat(api.stranger().get("/v3/api-docs").status()).isEqualTo(401);
        assertThat(api.as("READER").get("/v3/api-docs").status()).isEqualTo(200);
        for (String path : List.of("/api/nothing", "/api", "/actuator/nothing", "/v3/nothing", "/error")) {
            Api.Answer answer = api.get(path);
            assertThat(answer.status()).as(path).isEqualTo(404);
            assertThat(answer.body().path("type").asText()).as(path).isEqualTo("urn:oblume:problem:not-found");
        }
    }

    /** Undo is an edit: what a role may not change it may not change back. */
    @Test
    void whoBecameControlDoesNotUndoALevelOfBefore() {
        long shot = api.shotFrom("4M1", api.shot("4A"));
        Api grip = api.joined("third grip", "CREW");
        grip.tie(shot, "key", "LEVEL", "{\"text\":\"31\",\"reason\":\"LOOK\"}", 0);
        Api lead = api.as("LEAD");
        lead.get("/api/team").body().get("members").forEach(member -> {
            if (member.get("name").asText().equals("third grip")) {
                lead.put(
                        "/api/team/" + member.get("id").asLong(),
                        "{\"role\":\"CONTROL\"}",
                        member.get("version").asLong());
            }
        });
        assertThat(grip.post("/api/shots/" + shot + "/undo", "").status()).isEqualTo(403);
        assertThat(api.say(shot, "key", "LEVEL")).isEqualTo("31 %");
    }
}
