package org.oblume.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** Nothing that is sent is worked on before it is known to be of a size, and whole. */
@ServerTest
class LimitsOverHttpTest {

    private static final String LONG = "key 45% , ".repeat(60);

    @Autowired
    private Api api;

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/shots/%d/say | {'text':'%s'}",
                "/api/shots/%d/readings/read | {'line':'%s','sure':false}",
                "/api/shots/%d/light | {'changes':[{'placement':'key','attribute':'LEVEL','text':'%s'}],'holds':[],'out':[]}"
            })
    void aLineIsNoLongerThanAnybodyCallsOut(String path, String body) {
        Answer answer = api.as("READER")
                .post(path.formatted(api.shot("4C")), body.replace('\'', '"').formatted(LONG));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).isEqualTo("A line has at most 500 signs, this one 600: say it in parts.");
    }

    @ParameterizedTest
    @CsvSource({
        "evil.example, 421",
        "localhost.evil.example, 421",
        "10.0.0.5.evil.example, 421",
        "localhost, 200",
        "10.0.0.5, 200",
        "[fe80::1], 200",
        "cart.local, 200"
    })
    void nobodyElsesNameLeadsHere(String host, int status) throws IOException {
        assertThat(new String(api.answer(host, "/api/session"), StandardCharsets.UTF_8))
                .startsWith("HTTP/1.1 %d".formatted(status));
    }

    @Test
    void aBodyOfMoreThanAMegabyteIsRefusedUnread() {
        String path = "/api/shots/%d/knots".formatted(api.shot("4C"));
        Answer answer = api.post(path, "{\"changes\":[" + " ".repeat(1024 * 1024) + "]}");
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.detail())
                .isEqualTo("What was sent is larger than 1024 KB: send it in smaller parts. Nothing was kept.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/api/shots/%d/light | {'changes':[null],'holds':[],'out':[]} | changes",
                "/api/shots/%d/light | {'changes':[],'holds':[null],'out':[]} | holds",
                "/api/shots/%d/knots | {'changes':[null],'reason':'LOOK'} | changes",
                "/api/shots/%d/arrange | {'order':'WALL','placements':[null]} | placements"
            })
    void aGapInAListIsRefusedByItsName(String path, String body, String field) {
        Answer answer = api.post(path.formatted(api.shot("4C")), body.replace('\'', '"'));
        assertThat(answer.status()).as(answer.toString()).isEqualTo(400);
        assertThat(answer.body().get("field").asText()).isEqualTo(field);
    }

    @Test
    void aDeviceThatNamesItselfAtLengthIsNotSentToEverybody() {
        Answer answer = api.put("/api/live/" + "d".repeat(61), "{}", null);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.detail()).startsWith("A device names itself with at most 60 signs");
    }
}
