package org.oblume.server.day;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.Test;
import org.oblume.server.Api;
import org.oblume.server.Api.Answer;
import org.oblume.server.ServerTest;
import org.springframework.beans.factory.annotation.Autowired;

/** The sun on a set, and a streak of it made again. */
@ServerTest
class SunOverHttpTest {

    @Autowired
    private Api api;

    private static final String STREAK =
            """
            {"mark":"mark-2","at":"2026-11-17T11:15:00Z","head":"sun","awayM":%s%s}
            """;

    private JsonNode again(String awayM, String more) {
        Answer made = api.post("/api/shots/%d/sun/again".formatted(api.shot("11A")), STREAK.formatted(awayM, more));
        assertThat(made.status()).as(made.detail()).isEqualTo(200);
        return made.body();
    }

    /** Sc. 11: bearing 118°, 24° up, by the end pane, 0.8 m wide; from 6.5 m it fans by 7.0°. */
    @Test
    void theStreakIsMadeAgainByAHeadOnTheSameWay() {
        JsonNode made = again("6.5", "");
        assertThat(made.get("bearingDeg").asDouble()).isCloseTo(118, within(0.2));
        assertThat(made.get("upDeg").asDouble()).isCloseTo(24, within(0.1));
        assertThat(made.at("/opening/name").asText()).isEqualTo("end pane");
        assertThat(made.at("/opening/fanDeg").asDouble()).isCloseTo(7.0, within(0.05));
        assertThat(made.at("/opening/parallel").asBoolean()).isFalse();
        double level = Math.hypot(
                made.at("/head/xM").asDouble() - 6.42, made.at("/head/yM").asDouble() - 3);
        assertThat(made.at("/head/heightM").asDouble())
                .isCloseTo(
                        0.95 + level * Math.tan(Math.toRadians(made.get("upDeg").asDouble())), within(1e-6));
        double percent = made.at("/level/levelPercent").asDouble();
        assertThat(percent).isCloseTo(100 * 3200 / made.at("/level/fullLux").asDouble(), within(0.1));
    }

    /** What it takes, tried on the shot, gives on the mark what the sun gave. */
    @Test
    void atItsLevelTheHeadGivesWhatTheSunGave() {
        JsonNode made = again("6.5", "");
        StringBuilder changes = new StringBuilder();
        made.get("changes")
                .forEach(c -> changes.append(changes.isEmpty() ? "" : ",").append(c));
        Answer tried = api.post(
                "/api/shots/%d/light".formatted(api.shot("11A")),
                "{\"changes\":[%s],\"holds\":[],\"out\":[]}".formatted(changes));
        assertThat(tried.status()).as(tried.detail()).isEqualTo(200);
        JsonNode lux = null;
        for (JsonNode mark : tried.body().at("/light/marks")) {
            for (JsonNode from : mark.get("from")) {
                if (mark.get("key").asText().equals("mark-2")
                        && from.get("key").asText().equals("sun")) {
                    lux = from.at("/facing/lux");
                }
            }
        }
        assertThat(lux).isNotNull();
        assertThat(lux.asDouble()).isCloseTo(3200, within(10.0));
    }

    @Test
    void aHeadThatIsTooWeakIsToldHowFarItIsShort() {
        JsonNode made = again("6.5", ",\"sunLux\":64000");
        double full = made.at("/level/fullLux").asDouble();
        assertThat(made.at("/level/levelPercent").asDouble()).isEqualTo(100);
        assertThat(made.at("/level/shortStops").asDouble())
                .isCloseTo(Math.log(64_000 / full) / Math.log(2), within(1e-9));
    }

    @Test
    void theWindowsOfADayAreToldByOpening() {
        JsonNode track = api.get("/api/shots/%d/sun?date=2026-11-17&zone=Etc/UTC".formatted(api.shot("11A")))
                .body();
        JsonNode streak = null;
        for (JsonNode target : track.get("targets")) {
            if (target.path("mark").asText().equals("mark-2")) {
                streak = target;
            }
        }
        assertThat(streak).isNotNull();
        assertThat(streak.at("/comes/0/opening").asText()).isEqualTo("east glass");
        assertThat(streak.at("/comes/1/opening").asText()).isEqualTo("end pane");
        assertThat(streak.at("/comes/1/from").asDouble()).isBetween(644.0, 648.0);
        assertThat(streak.at("/comes/1/to").asDouble()).isBetween(699.0, 702.0);
        assertThat(streak.at("/streak/minute").asDouble()).isEqualTo(675);
        JsonNode lies = api.get(
                        "/api/shots/%d/sun/at?date=2026-11-17&zone=Etc/UTC&minute=675".formatted(api.shot("11A")))
                .body();
        assertThat(lies.get("marks")).anyMatch(m -> m.get("mark").asText().equals("mark-2"));
        assertThat(lies.get("lies")).isNotEmpty();
    }

    @Test
    void whatCannotBeIsRefusedInASentence() {
        String path = "/api/shots/%d/sun".formatted(api.shot("11A"));
        assertThat(api.post(
                                path + "/again",
                                STREAK.formatted(
                                        "6.5",
                                        ",\"mirror\":{\"key\":\"shade\",\"awayM\":5,\"headM\":5,\"headBearingDeg\":250,\"headHeightM\":1.5}"))
                        .detail())
                .contains("is no mirror");
        assertThat(api.post(path + "/again", STREAK.formatted("0", "")).detail())
                .contains("The head");
        assertThat(api.post(path + "/again", STREAK.formatted("6.5", "").replace("11:15", "23:15"))
                        .detail())
                .contains("The sun was down then");
        assertThat(api.post(path + "/again", STREAK.formatted("6.5", "").replace("\"sun\"", "\"camera\""))
                        .detail())
                .contains("is no light");
        assertThat(api.get(path + "?zone=Nowhere").detail()).contains("is no time zone");
        assertThat(api.get("/api/shots/%d/sun".formatted(api.shot("4A"))).detail())
                .contains("Where this set is on earth");
    }
}
