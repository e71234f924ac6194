package org.oblume.server.team;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

@ServerTest
class TeamOverHttpTest {

    private static int made;

    @Autowired
    private Api api;

    @Test
    void whoHasNotSignedInSeesNothingButTheBench() {
        Api stranger = api.stranger();
        Answer refused = stranger.get("/api/book");
        assertThat(refused.status()).isEqualTo(401);
        assertThat(refused.detail()).startsWith("You are not signed in here any more.");
        assertThat(stranger.post("/api/bench/tape", "{}").status()).isEqualTo(400);
        assertThat(stranger.get("/").status()).isEqualTo(200);
    }

    @ParameterizedTest
    @CsvSource({
        "LEAD, 200, 200, 200, 200",
        "CREW, 200, 200, 200, 403",
        "CONTROL, 403, 200, 200, 403",
        "CONTINUITY, 403, 403, 200, 403",
        "READER, 403, 403, 403, 403"
    })
    void eachRoleDoesItsOwnAndNoMore(String role, int edit, int patch, int tick, int team) {
        long shot = api.shotFrom("4T" + ++made, api.shot("4A"));
        Api person = api.as(role);
        assertThat(person.get("/api/book").status()).isEqualTo(200);
        assertThat(person.tie(shot, "edge", "LEVEL", "{\"text\":\"31\",\"reason\":\"LOOK\"}", 0)
                        .status())
                .isEqualTo(edit);
        assertThat(person.tie(
                                shot,
                                "edge",
                                "PATCH",
                                "{\"value\":{\"universe\":1,\"address\":200,\"slots\":4},\"reason\":\"FIX\"}",
                                0)
                        .status())
                .isEqualTo(patch);
        String many =
                "{\"changes\":[{\"placement\":\"key\",\"attribute\":\"%s\",\"value\":%s,\"revision\":0}],\"reason\":\"LOOK\"}";
        assertThat(person.post("/api/shots/" + shot + "/knots", many.formatted("LEVEL", "{\"percent\":5}"))
                        .status())
                .isEqualTo(edit);
        assertThat(person.post(
                                "/api/shots/" + shot + "/knots",
                                many.formatted("PATCH", "{\"universe\":3,\"address\":1,\"slots\":4}"))
                        .status())
                .isEqualTo(patch);
        assertThat(person.put("/api/shots/" + shot + "/rebuild/key", "", null).status())
                .isEqualTo(tick);
        assertThat(person.get("/api/team").status()).isEqualTo(team);
    }

    @Test
    void aRoleThatIsTakenAwayHoldsNoLongerFromThatMoment() {
        long shot = api.shotFrom("4T" + ++made, api.shot("4A"));
        Api grip = api.joined("second grip", "CREW");
        assertThat(grip.tie(shot, "key", "LEVEL", "{\"text\":\"31\",\"reason\":\"LOOK\"}", 0)
                        .status())
                .isEqualTo(200);
        Api lead = api.as("LEAD");
        long id = StreamSupport.stream(
                        lead.get("/api/team").body().get("members").spliterator(), false)
                .filter(m -> m.get("name").asText().equals("second grip"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
        assertThat(lead.put("/api/team/" + id, "{\"role\":\"READER\"}", 0L).status())
                .isEqualTo(200);
        Answer refused = grip.tie(shot, "key", "LEVEL", "{\"text\":\"32\",\"reason\":\"LOOK\"}", 1);
        assertThat(refused.status()).isEqualTo(403);
        assertThat(refused.detail())
                .isEqualTo("second grip has the role “reader”, which does not do this. Nothing was kept: ask a lead.");
        assertThat(grip.get("/api/book").status()).isEqualTo(200);
        assertThat(lead.delete("/api/team/" + id, 1L).status()).isEqualTo(204);
        assertThat(grip.get("/api/book").status()).isEqualTo(401);
        assertThat(api.say(shot, "key", "LEVEL")).isEqualTo("31 %");
    }

    @Test
    void anInvitationMakesOneAccountAndNoMore() {
        Api lead = api.as("LEAD");
        String path = "/api/invitations"
                + lead.post("/api/team/invitations", "{\"role\":\"CONTINUITY\"}")
                        .body()
                        .get("path")
                        .asText()
                        .substring(5);
        Api stranger = api.stranger();
        assertThat(stranger.get(path).body().get("role").asText()).isEqualTo("CONTINUITY");
        assertThat(stranger.post(path, "{\"name\":\"continuity 2\",\"passphrase\":\"short\"}")
                        .detail())
                .startsWith("Choose a passphrase of 10 characters");
        assertThat(stranger.post(path, "{\"name\":\"Gaffer\",\"passphrase\":\"long enough\"}")
                        .detail())
                .startsWith("Gaffer is taken");
        Answer joined = stranger.post(path, "{\"name\":\"<b>continuity</b>\",\"passphrase\":\"long enough\"}");
        assertThat(joined.body().get("name").asText()).isEqualTo("<b>continuity</b>");
        assertThat(api.stranger()
                        .post(path, "{\"name\":\"another\",\"passphrase\":\"long enough\"}")
                        .detail())
                .contains("was used or has run out");
        assertThat(api.stranger()
                        .post("/api/session/first", "{\"name\":\"me\",\"passphrase\":\"long enough\"}")
                        .detail())
                .contains("There is a lead already");
    }

    @Test
    void whoGuessesHasToWaitAndWhoKnowsDoesNot() {
        api.joined("night shift", "CREW");
        Api guessing = api.stranger();
        String wrong = "{\"name\":\"Night shift\",\"passphrase\":\"not that one\"}";
        for (int i = 0; i < 5; i++) {
            assertThat(guessing.post("/api/session", wrong).detail())
                    .startsWith("The name and the passphrase do not go together");
        }
        Answer throttled = guessing.post("/api/session", wrong);
        assertThat(throttled.status()).isEqualTo(429);
        assertThat(throttled.detail()).matches("That was wrong several times: wait \\d seconds, then try again.");
        assertThat(guessing.post("/api/session", "{\"name\":\"nobody\",\"passphrase\":\"not that one\"}")
                        .status())
                .isEqualTo(403);
    }

    @Test
    void whoeverGuessesKeepsNobodyOutOfADeviceThatIsKnown() {
        Api known = api.joined("kept out", "LEAD");
        String right = "{\"name\":\"kept out\",\"passphrase\":\"salt marsh line\"}";
        Api guessing = api.stranger();
        for (int i = 0; i < 7; i++) {
            guessing.post("/api/session", "{\"name\":\"kept out\",\"passphrase\":\"wrong %d\"}".formatted(i));
        }
        assertThat(guessing.post("/api/session", right).status()).isEqualTo(429);
        known.delete("/api/session", null);
        assertThat(known.post("/api/session", right).status()).isEqualTo(200);
    }

    @Test
    void signingOutEverywhereEndsEverySession() {
        api.joined("on two phones", "CREW");
        Api other = api.stranger();
        assertThat(other.post("/api/session", "{\"name\":\"on two phones\",\"passphrase\":\"salt marsh line\"}")
                        .status())
                .isEqualTo(200);
        Api third = api.stranger();
        third.post("/api/session", "{\"name\":\"ON TWO PHONES\",\"passphrase\":\"salt marsh line\"}");
        assertThat(third.get("/api/book").status()).isEqualTo(200);
        assertThat(other.delete("/api/sessions", null).status()).isEqualTo(204);
        assertThat(List.of(
                        other.get("/api/book").status(), third.get("/api/book").status()))
                .containsOnly(401);
    }

    @Test
    void aChangedPassphraseEndsEverySessionButTheOneThatChangedIt() {
        api.joined("first phone", "CREW");
        String known = "{\"name\":\"first phone\",\"passphrase\":\"salt marsh line\"}";
        Api here = api.stranger();
        here.post("/api/session", known);
        Api stolen = api.stranger();
        stolen.post("/api/session", known);
        assertThat(stolen.get("/api/book").status()).isEqualTo(200);
        assertThat(here.put(
                                "/api/session/passphrase",
                                "{\"now\":\"salt marsh line\",\"next\":\"quite another line\"}",
                                null)
                        .status())
                .isEqualTo(204);
        assertThat(stolen.get("/api/book").status()).isEqualTo(401);
        assertThat(here.get("/api/book").status()).isEqualTo(200);
        assertThat(api.stranger().post("/api/session", known).status()).isEqualTo(403);
    }

    @Test
    void whoFindsAPhoneSignedInCannotGuessThePassphraseOfItsOwner() {
        Api phone = api.joined("left behind", "CREW");
        String guess = "{\"now\":\"not that one\",\"next\":\"quite another line\"}";
        for (int i = 0; i < 5; i++) {
            assertThat(phone.put("/api/session/passphrase", guess, null).detail())
                    .startsWith("That is not your passphrase now");
        }
        assertThat(phone.put("/api/session/passphrase", guess, null).status()).isEqualTo(429);
    }

    @Test
    void aNameThatNobodyCanHaveIsNotRemembered() {
        String name = "n".repeat(61);
        Api stranger = api.stranger();
        for (int i = 0; i < 7; i++) {
            assertThat(stranger.post("/api/session", "{\"name\":\"%s\",\"passphrase\":\"x\"}".formatted(name))
                            .status())
                    .as("never told to wait: nothing is kept of it")
                    .isEqualTo(403);
        }
    }

    @Test
    void aCallThatAnotherSiteMadeTheBrowserSendIsRefused() throws Exception {
        Api lead = api.as("LEAD");
        assertThat(lead.withoutToken()
                        .post("/api/productions", "{\"name\":\"Not mine\",\"days\":1}")
                        .status())
                .isEqualTo(403);
        assertThat(lead.header("/", "Content-Security-Policy"))
                .contains("default-src 'self'")
                .doesNotContain("unsafe");
        assertThat(lead.cookie()).contains("HttpOnly").contains("SameSite=Strict");
    }
}
